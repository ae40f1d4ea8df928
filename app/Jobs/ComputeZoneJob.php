<?php

declare(strict_types=1);

namespace App\Jobs;

use Anthesis\Exchange\FormatError;
use Anthesis\Record\RecordTooShort;
use App\Actions\ComputeZone;
use App\Actions\ImportRecord;
use App\Models\Computation;
use App\Models\RecordImport;
use App\Support\ZoneRecord;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Imports the file a computation came with, if any, and computes the zone. Safe to run again after a worker was killed. */
final class ComputeZoneJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(private readonly int $computationId)
    {
    }

    public function handle(ImportRecord $import, ComputeZone $compute): void
    {
        $computation = Computation::query()->findOrFail($this->computationId);
        if (in_array($computation->state, [Computation::DONE, Computation::CANCELLED], true)) {
            return;
        }
        $computation->update(['state' => Computation::RUNNING, 'step' => 'reading the record']);
        try {
            if ($computation->recordImport !== null) {
                $import->execute($computation->recordImport);
            }
            $record = ZoneRecord::of($computation->zone);
            if ($record === null) {
                throw new RecordTooShort('The zone has no record yet. Bring a station file first.');
            }
            $compute->execute($computation, $record);
        } catch (FormatError|RecordTooShort $error) {
            // Trying again would end the same way: what is wrong is the record, and that can be said.
            $this->giveUp($computation, $error->getMessage());
        }
    }

    public function failed(?Throwable $error): void
    {
        $computation = Computation::query()->find($this->computationId);
        if ($computation !== null) {
            $this->giveUp($computation, 'Something went wrong on our side; nothing was changed. Try again, and tell the administrator if it stays.');
        }
    }

    private function giveUp(Computation $computation, string $why): void
    {
        $computation->update(['state' => Computation::FAILED, 'step' => 'stopped', 'error' => $why, 'finished_at' => now()]);
        $import = $computation->recordImport;
        if ($import !== null && $import->state === RecordImport::QUEUED) {
            $import->update(['state' => RecordImport::FAILED]);
        }
    }
}
