<?php

declare(strict_types=1);

namespace App\Simulation;

use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use App\Soil\ProbeSource;
use App\Soil\SoilSpot;
use App\Stations\ZoneRecord;

/** A probe that comes out of a warm pocket and settles to what the soil model says about the spot, a little off, as spots are. */
final class SimulatedProbe implements ProbeSource
{
    private const POCKET = 21.0;

    private const TIME_CONSTANT_S = 22.0;

    /** Nobody watches a demonstration for three minutes. */
    private const PACE = 10.0;

    public function figure(SoilSpot $spot, Day $day, float $seconds): ?float
    {
        $record = ZoneRecord::of($spot->zone)?->used;
        if ($record === null) {
            return null;
        }
        $soil = SoilTemperature::of($record, Latitude::of($spot->zone->latitude), $spot->site?->toCore() ?? Site::openGround())->dailyMean;
        // Yesterday's, if today is not on record yet.
        $at = min($day->number - $record->first->number, count($soil) - 1);
        // How a spot differs from the model, the same whenever it is measured.
        $own = ((crc32($spot->name) % 21) - 10) / 10;
        $end = ($soil[$at] ?? 10.0) + $own;

        return round($end + (self::POCKET - $end) * exp(-$seconds / self::TIME_CONSTANT_S), 1);
    }

    public function name(): string
    {
        return 'simulated';
    }

    public function pace(): float
    {
        return self::PACE;
    }
}
