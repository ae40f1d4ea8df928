<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\Change;
use App\People\User;
use App\Sites\Site;
use App\Stations\RecordImport;
use Illuminate\Support\Facades\DB;

/**
 * Starts the computation of a zone in the background, at open ground or another site, after the import of a file if there is one. What is
 * already waiting is not queued again.
 */
final class QueueComputation
{
    public function execute(Zone $zone, ?User $user, ?RecordImport $import = null, ?Site $site = null, ?Change $cause = null): Computation
    {
        return DB::transaction(function () use ($zone, $user, $import, $site, $cause): Computation {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $waiting =
                $import !== null
                    ? null
                    : Computation::query()
                        ->where('zone_id', $zone->id)
                        ->where('site_id', $site?->id)
                        ->whereNull('record_import_id')
                        ->where('state', ComputationState::Queued)
                        ->latest('id')
                        ->first();
            if ($waiting !== null && self::stillWaits($waiting)) {
                return $waiting;
            }
            $computation = Computation::query()->create([
                'zone_id' => $zone->id,
                'site_id' => $site?->id,
                'user_id' => $user?->id,
                'record_import_id' => $import?->id,
                'caused_by' => $cause?->id,
                'state' => ComputationState::Queued,
                'step' => 'waiting',
            ]);
            // Sites are for one person to look at; what calendars are made of goes first.
            event(new ComputationQueued($zone->id, $site === null ? 'default' : 'sites'));

            return $computation->refresh();
        });
    }

    /**
     * Whether no worker took it up yet; none can until this transaction ends, so it will see what is changed here. What a transaction reads
     * otherwise is as old as its first look.
     */
    private static function stillWaits(Computation $computation): bool
    {
        return Computation::query()->whereKey($computation->id)->lockForUpdate()->value('state') === ComputationState::Queued;
    }

    /** The same, after a change of something that the zone's results depend on: from now on they are out of date. */
    public function changed(Zone $zone, ?User $user, ?Change $cause): Computation
    {
        return DB::transaction(function () use ($zone, $user, $cause): Computation {
            Zone::query()->whereKey($zone->id)->increment('input_revision');

            return $this->execute($zone->refresh(), $user, cause: $cause);
        });
    }

    /** The same for every zone that has been computed, after a change that affects them all. */
    public function changedEverywhere(?User $user, ?Change $cause): void
    {
        foreach (Zone::query()->whereHas('currentComputation')->orderBy('id')->get() as $zone) {
            $this->changed($zone, $user, $cause);
        }
    }
}
