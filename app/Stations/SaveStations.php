<?php

declare(strict_types=1);

namespace App\Stations;

use App\People\User;
use App\Zones\Computation;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Puts a zone's stations in order, with their elevations, and computes it again. A station that is not named is set aside, not lost. */
final class SaveStations
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    /** @param  list<array{id: int, name: string, height_m: int|null, lapse: float, matched: bool}>  $stations primary first */
    public function execute(Zone $zone, array $stations, int $version, User $user): Computation
    {
        return DB::transaction(function () use ($zone, $stations, $version, $user): Computation {
            $change = $zone->editedAt($version, $user, static function (Zone $z) use ($stations): void {
                // Ranks are unique in a zone, so all are cleared before they are assigned.
                Station::query()
                    ->where('zone_id', $z->id)
                    ->update(['rank' => null]);
                foreach ($stations as $i => $values) {
                    Station::query()
                        ->where('zone_id', $z->id)
                        ->findOrFail($values['id'])
                        ->update(['rank' => $i + 1] + $values);
                }
            });

            return $this->queue->changed($zone, $user, $change);
        });
    }
}
