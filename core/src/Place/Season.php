<?php

declare(strict_types=1);

namespace Anthesis\Place;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;

/** The season a place is in: today's date, and the forecast from then on. */
final readonly class Season
{
    /** @param  DailyRecord|null  $outlook  from today on; null: no forecast */
    public function __construct(public Day $today, public ?DailyRecord $outlook)
    {
    }
}
