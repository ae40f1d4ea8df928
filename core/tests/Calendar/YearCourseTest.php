<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\YearCourse;
use Anthesis\Record\Day;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class YearCourseTest extends TestCase
{
    public function test_a_southern_year_runs_from_july_and_is_kept_by_day_of_the_year(): void
    {
        $record = Fixtures::record('south');
        $course = YearCourse::of($record, Fixtures::latitude('south'), Site::openGround(), 2005);
        $at = static fn (int $year, int $month, int $day): float => round(
            (float) $record->minimum[Day::numberOf($year, $month, $day) - $record->first->number],
            1,
        );
        self::assertSame($at(2005, 7, 1), $course['minimum'][181]);
        self::assertSame($at(2006, 6, 30), $course['minimum'][180]);
        self::assertSame($at(2006, 1, 1), $course['minimum'][0]);
    }

    public function test_what_is_missing_or_still_to_come_is_null(): void
    {
        $record = Fixtures::record('north');
        $course = YearCourse::of($record, Fixtures::latitude('north'), Site::openGround(), $record->last()->year() + 1);
        self::assertSame([null], array_values(array_unique($course['soil'])));
        self::assertCount(365, $course['maximum']);
    }
}
