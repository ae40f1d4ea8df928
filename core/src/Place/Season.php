<?php

declare(strict_types=1);

namespace Anthesis\Place;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;

/** The season a place is in: the day that is today, and what is foretold from then on. */
final readonly class Season
{
    /** @param  DailyRecord|null  $outlook  from today on; null: nothing is foretold */
    public function __construct(public Day $today, public ?DailyRecord $outlook)
    {
    }
}
