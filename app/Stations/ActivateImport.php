<?php

declare(strict_types=1);

namespace App\Stations;

use App\People\Change;
use App\People\User;
use App\Zones\Computation;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Switches a station back, or forward, to the record an import made, and computes its zone again. */
final class ActivateImport
{
    public function __construct(private readonly QueueComputation $queue)
    {
    }

    public function execute(RecordImport $import, StationRecord $record, User $user): Computation
    {
        return DB::transaction(function () use ($import, $record, $user): Computation {
            Zone::query()->whereKey($import->station->zone_id)->lockForUpdate()->first();
            $station = $import->station;
            $was = $station->record_id;
            $station->update(['record_id' => $record->id]);

            return $this->queue->changed(
                $station->zone,
                $user,
                Change::record('record-chosen', $station, $user, ['record' => $was], ['record' => $record->id]),
            );
        });
    }
}
