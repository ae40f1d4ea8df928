<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\DailyRecord;

/** This season as it would go on if its weather went on as in a past year. */
final readonly class Member
{
    /** @param  int  $year  the calendar year from whose days it goes on */
    public function __construct(public int $year, public DailyRecord $record)
    {
    }
}
