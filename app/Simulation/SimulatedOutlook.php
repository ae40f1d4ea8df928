<?php

declare(strict_types=1);

namespace App\Simulation;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use App\Stations\OutlookSource;
use App\Zones\Zone;
use Illuminate\Support\Facades\Cache;

/** The next seven days at the demonstration's places: their simulated weather, forecast less accurately with each day. */
final class SimulatedOutlook implements OutlookSource
{
    private const DAYS = 7;

    private const KEPT_SECONDS = 86_400;

    public function from(Zone $zone, Day $day): ?DailyRecord
    {
        $climate = SimulatedStations::climate($zone->slug);
        if ($climate === null) {
            return null;
        }
        // It goes through all the weather since the first year, and the same morning's is needed again and again.
        [$minimum, $maximum, $rain] = Cache::remember(
            "simulated-outlook-with-rain {$zone->slug} {$day->iso()}",
            self::KEPT_SECONDS,
            static fn (): array => (new SimulatedStation($climate))->outlook(
                Day::of(SimulatedStations::FIRST_YEAR, 1, 1),
                $day,
                self::DAYS,
            ),
        );

        return new DailyRecord($day, $minimum, $maximum, $rain);
    }

    public function name(): string
    {
        return 'simulated';
    }
}
