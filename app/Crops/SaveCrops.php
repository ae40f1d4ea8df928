<?php

declare(strict_types=1);

namespace App\Crops;

use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Zones\QueueComputation;
use Illuminate\Support\Facades\DB;

/** Saves changed crops, keeps their earlier versions, adds new ones, and has every zone computed again, which only costs what changed. */
final class SaveCrops
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /**
     * Changes one crop, based on a version of it.
     *
     * @param  array<string, string>  $cells  checked, by column
     *
     * @throws StaleEdit if the crop was edited since that version
     */
    public function edit(Crop $crop, array $cells, string $note, int $version, User $user): Crop
    {
        DB::transaction(function () use ($crop, $cells, $note, $version, $user): void {
            $change = $crop->editedAt($version, $user, fn (Crop $c) => $this->change($c, $cells, $note, $user), $note);
            if ($change !== null) {
                $this->queue->changedEverywhere($user, $change);
            }
        });

        return $crop->refresh();
    }

    /**
     * Imports a whole table: changed crops are changed, new ones added, others stay.
     *
     * @param  array<string, array<string, string>>  $rows  checked cells by slug and column
     * @return array{new: int, changed: int, unchanged: int}
     */
    public function execute(array $rows, string $note, User $user): array
    {
        return DB::transaction(function () use ($rows, $note, $user): array {
            $counts = ['new' => 0, 'changed' => 0, 'unchanged' => 0];
            /** @var array<string, Crop> $known */
            $known = Crop::query()->whereIn('slug', array_keys($rows))->lockForUpdate()->get()->keyBy('slug')->all();
            $cause = null;
            $position = (int) Crop::query()->max('position');
            foreach ($rows as $slug => $cells) {
                $crop = $known[$slug] ?? null;
                if ($crop === null) {
                    $crop = Crop::query()->create(['slug' => $slug, 'position' => ++$position, 'cells' => $cells]);
                    $cause = Change::record('added', $crop, $user, [], $cells, $note);
                    $counts['new']++;
                } else {
                    $change = $crop->editedAt($crop->version, $user, fn (Crop $c) => $this->change($c, $cells, $note, $user), $note);
                    $cause = $change ?? $cause;
                    $counts[$change === null ? 'unchanged' : 'changed']++;
                }
            }
            if ($cause !== null) {
                // One computation for the whole table: its cause is the last change.
                $this->queue->changedEverywhere($user, $cause);
            }

            return $counts;
        });
    }

    /** @param  array<string, string>  $cells */
    private function change(Crop $crop, array $cells, string $note, User $user): void
    {
        if ($crop->cells == $cells) {
            return;
        }
        CropRevision::query()->create(['crop_id' => $crop->id, 'user_id' => $user->id, 'cells' => $crop->cells, 'note' => $note]);
        $crop->update(['cells' => $cells]);
    }
}
