<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\SowDays;
use PHPUnit\Framework\TestCase;

final class SowDaysTest extends TestCase
{
    public function test_days_of_a_record_stand_by_day_of_the_year_and_the_other_way_round(): void
    {
        $days = SowDays::from(Day::of(2004, 2, 27), 4 + 365);
        self::assertSame([58, 59, 59, 60], array_slice($days->yearDay, 0, 4), 'February 29 counts as the 28th');
        self::assertSame(range(1, YearDay::YEAR), array_keys($days->days));
        self::assertSame([[0, 366], [1, 2, 367], [3, 368]], [$days->days[58], $days->days[59], $days->days[60]]);
        self::assertSame([[], [0]], [SowDays::of([7])->days[6], SowDays::of([7])->days[7]]);
    }
}
