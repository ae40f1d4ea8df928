<?php

declare(strict_types=1);

namespace Anthesis\Tests\Sun;

use Anthesis\Record\Latitude;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\DayLengthDates;
use PHPUnit\Framework\TestCase;

final class DayLengthDatesTest extends TestCase
{
    public function test_days_reach_ten_hours_in_february_and_lose_them_in_november_at_46_north(): void
    {
        $latitude = Latitude::of(46.8);
        $dates = DayLengthDates::of($latitude, 10.0);
        self::assertSame(['2', '11'], [(string) $dates->reached?->monthAndDay()[0], (string) $dates->lost?->monthAndDay()[0]]);
        self::assertGreaterThanOrEqual(10.0, DayLength::hours($latitude, $dates->reached));
        self::assertLessThan(10.0, DayLength::hours($latitude, $dates->reached->plus(-1)));
        self::assertLessThan(10.0, DayLength::hours($latitude, $dates->lost));
        self::assertSame($dates->reached->daysUntil($dates->lost), $dates->days);
    }

    public function test_the_south_has_the_same_dates_half_a_year_away(): void
    {
        $north = DayLengthDates::of(Latitude::of(38.3), 12.0);
        $south = DayLengthDates::of(Latitude::of(-38.3), 12.0);
        self::assertEqualsWithDelta(182, $north->reached?->daysUntil($south->reached), 6);
        self::assertSame(9, $south->reached?->monthAndDay()[0]);
    }

    public function test_what_never_or_always_holds_has_no_dates(): void
    {
        self::assertEquals([null, null, 0], array_slice(array_values((array) DayLengthDates::of(Latitude::of(10.0), 14.0)), 1));
        self::assertEquals([null, null, 365], array_slice(array_values((array) DayLengthDates::of(Latitude::of(10.0), 10.0)), 1));
    }
}
