<?php

declare(strict_types=1);

namespace App\Log;

use App\Zones\InOfficeOfZone;
use App\Zones\Zone;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Follows what grows in a zone on a new day before somebody asks, so Today answers right away. Safe to run again. */
final class FollowSowingsJob implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 300;

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

    public function handle(ZoneUnderWay $underWay): void
    {
        $zone = Zone::query()->findOrFail($this->zoneId);
        $underWay->of($zone, $zone->today());
    }
}
