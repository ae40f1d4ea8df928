<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Record\Day;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use PHPUnit\Framework\TestCase;

final class RunsTest extends TestCase
{
    /**
     * The code of each season is as many days as it was sown after December 29, 2003, or none if it does not count.
     *
     * @param  list<int>  $without  those that do not
     */
    private static function runs(int $days, array $without = []): Runs
    {
        $codes = array_map(static fn (int $i): int => in_array($i, $without, true) ? Outcome::NONE : $i + 1, range(0, $days - 1));

        return new Runs(Day::of(2003, 12, 30), SowDays::from(Day::of(2003, 12, 30), $days), $codes, [], [], [], []);
    }

    public function test_seasons_stand_by_year_and_day_without_leap_days(): void
    {
        $years = self::runs(2 + 366 + 31 + 28 + 1)->byYear();
        self::assertSame([2003, 2004, 2005], array_keys($years));
        self::assertSame([364 => 1, 365 => 2], $years[2003]);
        self::assertSame(range(1, 365), array_keys($years[2004]), 'a leap year');
        // January 1, February 28, March 1, and December 31; February 29 would have been the 62nd.
        self::assertSame([3, 61, 63, 368], [$years[2004][1], $years[2004][59], $years[2004][60], $years[2004][365]]);
        self::assertSame([369, 427, 428], [$years[2005][1], $years[2005][59], $years[2005][60]]);
        self::assertCount(60, $years[2005], 'up to the end of the record');
    }

    public function test_seasons_that_do_not_count_are_left_out(): void
    {
        $years = self::runs(5, [0, 3])->byYear();
        self::assertSame([2003 => [365 => 2], 2004 => [1 => 3, 3 => 5]], $years);
        self::assertSame([], self::runs(2, [0, 1])->byYear());
    }
}
