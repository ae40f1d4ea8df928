<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\DailyRecord;

/** This season as it would continue with the weather of a past year. */
final readonly class Member
{
    /** @param  int  $year  the calendar year whose days continue it */
    public function __construct(public int $year, public DailyRecord $record)
    {
    }
}
