<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\User;
use Illuminate\Support\Facades\DB;

/** Chooses how many of its latest years a zone uses, and computes it again. */
final class ChooseYears
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /** @param  int|null  $years null: all */
    public function execute(Zone $zone, ?int $years, int $version, User $user): Computation
    {
        return DB::transaction(function () use ($zone, $years, $version, $user): Computation {
            $change = $zone->editedAt($version, $user, static fn (Zone $z) => $z->update(['years' => $years]));

            return $this->queue->changed($zone, $user, $change);
        });
    }
}
