<?php

declare(strict_types=1);

namespace Anthesis\Tests\Sun;

use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\Radiation;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class SunTest extends TestCase
{
    public function test_light_equals_the_reference_from_the_equator_to_the_polar_night(): void
    {
        foreach (Fixtures::json('sun.json') as $case) {
            $latitude = Latitude::of($case['latitude']);
            $day = YearDay::fromNumber($case['sow_day']);
            $where = "{$case['latitude']}°, day {$case['sow_day']}";
            self::assertEqualsWithDelta($case['day_length'], DayLength::hours($latitude, $day), 1e-3, $where);
            self::assertEqualsWithDelta($case['with_twilight'], DayLength::withTwilight($latitude, $day), 1e-3, $where);
            self::assertEqualsWithDelta($case['radiation'], Radiation::onDay($latitude, $day), 1e-3, $where);
        }
    }

    public function test_the_year_is_the_days_in_order(): void
    {
        $latitude = Latitude::of(46.8);
        $year = DayLength::throughTheYear($latitude);
        self::assertCount(365, $year);
        self::assertSame(DayLength::hours($latitude, YearDay::of(6, 21)), $year[171]);
        self::assertSame(Radiation::onDay($latitude, YearDay::of(6, 21)), Radiation::throughTheYear($latitude)[171]);
    }
}
