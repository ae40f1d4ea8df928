<?php

declare(strict_types=1);

namespace App\Simulation;

use Anthesis\Record\Day;
use App\Stations\ReportSource;
use App\Stations\Station;

/** The demonstration's stations, which report every morning. */
final class SimulatedReports implements ReportSource
{
    public function report(Station $station, Day $from, Day $to): ?string
    {
        $climate = $station->rank === 1 ? SimulatedStations::climate($station->zone->slug) : null;

        return $climate === null
            ? null
            : (new SimulatedStation($climate))->report(Day::of(SimulatedStations::FIRST_YEAR, 1, 1), $from, $to);
    }
}
