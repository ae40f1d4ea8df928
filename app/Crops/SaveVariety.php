<?php

declare(strict_types=1);

namespace App\Crops;

use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\QueueComputation;
use Illuminate\Support\Facades\DB;

/**
 * Adds, edits, and deletes varieties of a crop.
 *
 * @phpstan-type Values array{name: string, cells: array<string, string>, tags: list<string>}
 */
final class SaveVariety
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /** @param  Values  $values  checked */
    public function add(Crop $crop, array $values, User $user): Variety
    {
        return DB::transaction(function () use ($crop, $values, $user): Variety {
            $variety = $crop->varieties()->create($values);
            $this->queue->changedEverywhere($user, Change::record('added', $variety, $user, [], $variety->editedFields()));

            return $variety;
        });
    }

    /**
     * @param  Values  $values  checked
     *
     * @throws StaleEdit if the variety was edited since that version
     */
    public function edit(Variety $variety, array $values, int $version, User $user): void
    {
        DB::transaction(function () use ($variety, $values, $version, $user): void {
            $this->queue->changedEverywhere($user, $variety->editedAt($version, $user, static fn (Variety $v) => $v->update($values)));
        });
    }

    public function takeOut(Variety $variety, User $user): void
    {
        DB::transaction(function () use ($variety, $user): void {
            $change = Change::record('removed', $variety, $user, $variety->editedFields());
            $variety->delete();
            $this->queue->changedEverywhere($user, $change);
        });
    }
}
