<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\ComputeZoneJob;
use App\Models\Computation;
use App\Models\RecordImport;
use App\Models\Site;
use App\Models\User;
use App\Models\Zone;

/** Sets a zone's computing going in the background, at open ground or another site, after the import of a file where there is one. */
final class QueueComputation
{
    public function execute(Zone $zone, ?User $user, ?RecordImport $import = null, ?Site $site = null): Computation
    {
        $computation = Computation::query()->create([
            'zone_id' => $zone->id,
            'site_id' => $site?->id,
            'user_id' => $user?->id,
            'record_import_id' => $import?->id,
            'state' => Computation::QUEUED,
            'step' => 'waiting for its turn',
        ]);
        ComputeZoneJob::dispatch($computation->id)->afterCommit();

        return $computation->refresh();
    }
}
