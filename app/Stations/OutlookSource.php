<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use App\Zones\Zone;

/** Where the forecast for the coming days comes from. */
interface OutlookSource
{
    /** @return DailyRecord|null the days from one on, as far as there is a forecast for a zone; null: there is none */
    public function from(Zone $zone, Day $day): ?DailyRecord;

    /** @return string its name on the screen */
    public function name(): string;
}
