<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Climate\RecordTooShort;
use Anthesis\Words\Phrase;
use Anthesis\Words\Refused;
use App\Operations\NamedLock;
use App\Operations\Say;
use App\Stations\ImportRecord;
use App\Stations\RecordImportState;
use App\Stations\ZoneRecord;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\InOfficeOfZone;
use App\Zones\Zone;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/**
 * Carries out all waiting computations of a zone, with their imports first if they came with a file. There is one worker per zone; others
 * leave the zone to it. It is safe to run again after a worker was killed: what it had started is started again.
 */
final class ComputeZoneJob implements ShouldQueue
{
    use Queueable;

    /** How often the job may be tried; Computation::TRIES bounds each computation. */
    public int $tries = 25;

    public int $timeout = 600;

    private const STOPPED = 'Something went wrong on our side. Nothing changed. Try again, and tell an administrator if it goes on.';

    public function __construct(private readonly int $zoneId)
    {
    }

    /** The lock that the worker on a zone holds. */
    public static function lockOf(int $zoneId): string
    {
        return "zone-{$zoneId}";
    }

    /** @return list<object> */
    public function middleware(): array
    {
        return [new InOfficeOfZone($this->zoneId)];
    }

    public function handle(ImportRecord $import, ComputeZone $compute): void
    {
        $lock = NamedLock::take(self::lockOf($this->zoneId));
        if ($lock === null) {
            return;
        }
        try {
            while (($computation = $this->next()) !== null) {
                $this->work($computation, $import, $compute);
            }
        } finally {
            $lock->release();
        }
        // One may have arrived between the last look and the release of the lock.
        if ($this->waiting()->exists()) {
            self::dispatch($this->zoneId);
        }
    }

    private function next(): ?Computation
    {
        return $this->waiting()->orderByRaw('site_id IS NOT NULL, id')->first();
    }

    /** @return Builder<Computation> */
    private function waiting(): Builder
    {
        return Computation::query()
            ->where('zone_id', $this->zoneId)
            ->whereIn('state', [ComputationState::Queued, ComputationState::Running]);
    }

    private function work(Computation $computation, ImportRecord $import, ComputeZone $compute): void
    {
        $computation->update(['state' => ComputationState::Running, 'step' => 'reading', 'attempts' => $computation->attempts + 1]);
        if ($computation->attempts > Computation::TRIES) {
            $this->giveUp($computation, self::STOPPED);

            return;
        }
        try {
            if ($computation->recordImport !== null) {
                $import->execute($computation->recordImport);
            }
            /** @var Zone $zone */
            $zone = $computation->zone()->firstOrFail();
            $computation->setRelation('zone', $zone)->update(['input_revision' => $zone->input_revision]);
            $record = ZoneRecord::of($zone) ?? throw new RecordTooShort(Phrase::of('error.no-record'));
            $compute->execute($computation, $record);
        } catch (Refused $error) {
            // Trying again would end the same way: the record is the problem, and we can say so.
            $this->giveUp($computation, Say::phrase($error->why));
        } catch (Throwable $error) {
            report($error);
            if ($computation->attempts >= Computation::TRIES) {
                $this->giveUp($computation, self::STOPPED);
            }
        }
    }

    private function giveUp(Computation $computation, string $why): void
    {
        $computation->update(['state' => ComputationState::Failed, 'step' => 'stopped', 'error' => $why, 'finished_at' => now()]);
        $import = $computation->recordImport;
        if ($import !== null && $import->state === RecordImportState::Queued) {
            $import->update(['state' => RecordImportState::Failed]);
        }
    }
}
