<?php

declare(strict_types=1);

namespace App\TrackRecord;

use App\Zones\InOfficeOfZone;
use App\Zones\Zone;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Judges the windows of a zone, crop by crop. Safe to run again after a worker was killed: what is judged is kept. */
final class KeepPromisesJob implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 600;

    /** Seconds for which another one is not queued beside it. */
    public int $uniqueFor = 600;

    public function __construct(private readonly int $zoneId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->zoneId;
    }

    /** @return list<object> */
    public function middleware(): array
    {
        return [new InOfficeOfZone($this->zoneId)];
    }

    public function handle(ZoneTrackRecord $record): void
    {
        $record->keep(Zone::query()->findOrFail($this->zoneId));
    }
}
