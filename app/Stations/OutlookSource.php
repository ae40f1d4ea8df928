<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use App\Zones\Zone;

/** Where the weather of the coming days is foretold. */
interface OutlookSource
{
    /** @return DailyRecord|null the days from one on, as far as they are foretold for a zone; null: they are not */
    public function from(Zone $zone, Day $day): ?DailyRecord;

    /** @return string what it is called on the screen */
    public function name(): string;
}
