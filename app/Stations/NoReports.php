<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Day;

/** For when no station reports on its own. */
final class NoReports implements ReportSource
{
    public function report(Station $station, Day $from, Day $to): ?string
    {
        return null;
    }
}
