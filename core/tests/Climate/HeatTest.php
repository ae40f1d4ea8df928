<?php

declare(strict_types=1);

namespace Anthesis\Tests\Climate;

use Anthesis\Climate\DegreeDays;
use Anthesis\Climate\Heat;
use Anthesis\Climate\RulerYears;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class HeatTest extends TestCase
{
    /** @param  callable(string): float  $maximum by date */
    private function record(int $from, int $to, callable $maximum): DailyRecord
    {
        $first = Day::of($from, 1, 1);
        $days = Day::of($to, 12, 31)->number - $first->number + 1;
        $high = array_map(static fn (int $i): float => $maximum($first->plus($i)->iso()), range(0, $days - 1));

        return new DailyRecord($first, array_map(static fn (float $v): float => $v - 10, $high), $high);
    }

    public function test_hot_days_are_counted_by_year_and_dated_by_the_median(): void
    {
        // Hot from July 10 to July 19, 2001, from July 20 to August 8, 2002, not at all in 2003.
        $record = $this->record(
            2001,
            2003,
            static fn (string $d): float => ($d >= '2001-07-10' && $d <= '2001-07-19') || ($d >= '2002-07-20' && $d <= '2002-08-08')
                ? 31.0
                : 20.0,
        );
        $heat = Heat::of($record, Latitude::of(46), 30.0);
        self::assertSame([3, 10.0], [$heat->years, $heat->daysAYear]);
        self::assertSame(['07-15', '07-29'], [$heat->first?->iso(), $heat->last?->iso()], 'of the two years that had any');
        self::assertNull(Heat::of($record, Latitude::of(46), 35.0)->first);
        self::assertSame(0.0, Heat::of($record, Latitude::of(46), 35.0)->daysAYear);
        self::assertSame(10.0, Heat::of($record, Latitude::of(46), 31.0)->daysAYear, 'the limit itself counts');
    }

    public function test_a_southern_summer_stays_whole(): void
    {
        $record = $this->record(2001, 2004, static fn (string $d): float => in_array(substr($d, 5, 2), ['12', '01'], true) ? 33.0 : 20.0);
        $heat = Heat::of($record, Latitude::of(-38), 30.0);
        self::assertSame([3, 62.0], [$heat->years, $heat->daysAYear]);
        self::assertSame(['12-01', '01-31'], [$heat->first?->iso(), $heat->last?->iso()]);
    }

    public function test_warmth_is_summed_above_the_base(): void
    {
        $record = $this->record(2001, 2002, static fn (string $d): float => $d < '2002-01-01' ? 17.0 : 16.0);
        self::assertEqualsWithDelta(365 * 1.5, DegreeDays::aYear($record, Latitude::of(46), 10.0), 1e-9, 'means of 12 and 11');
        self::assertSame(0.0, DegreeDays::aYear($record, Latitude::of(46), 20.0));
        self::assertNull(DegreeDays::aYear(new DailyRecord(Day::of(2001, 1, 1), [1.0], [2.0]), Latitude::of(46), 5.0));
    }

    public function test_years_that_are_not_whole_do_not_count(): void
    {
        $record = Fixtures::record('south');
        $north = array_keys(RulerYears::of($record->first, $record->maximum, Latitude::of(10)));
        $south = RulerYears::of($record->first, $record->maximum, Latitude::of(-10));
        self::assertSame([1999, ...range(2000, 2003), ...range(2005, 2012)], $north, 'the gap of forty days lies in 2004');
        self::assertSame([...range(1999, 2002), ...range(2005, 2011)], array_values(array_diff(array_keys($south), [2003, 2004])));
        self::assertSame($record->maximum[181], $south[1999][0], '1 July 1999');
        self::assertCount(366, $south[1999]);
    }
}
