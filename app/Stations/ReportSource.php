<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Day;

/** Where a station's daily reports come from. */
interface ReportSource
{
    /** @return string|null the station's file from one day to another, both included; null: it has none */
    public function report(Station $station, Day $from, Day $to): ?string;
}
