<?php

declare(strict_types=1);

namespace Anthesis\Tests\Record;

use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DayTest extends TestCase
{
    public function test_days_agree_with_the_calendar_of_php_over_four_centuries(): void
    {
        for ($year = 1700; $year <= 2100; $year++) {
            foreach ([[1, 1], [2, 28], [3, 1], [12, 31]] as [$month, $day]) {
                $expected = gregoriantojd($month, $day, $year) - gregoriantojd(1, 1, 1970);
                self::assertSame($expected, Day::numberOf($year, $month, $day));
                self::assertSame([$year, $month, $day], Day::civil($expected));
            }
        }
    }

    public function test_a_day_is_before_the_next_and_not_before_itself(): void
    {
        $day = Day::of(2024, 2, 29);
        self::assertSame([true, false, false], [$day->isBefore($day->plus(1)), $day->isBefore($day), $day->isBefore($day->plus(-1))]);
    }

    /** @return iterable<string, array{string}> */
    public static function notDays(): iterable
    {
        yield 'no leap day' => ['2023-02-29'];
        yield 'century without leap day' => ['1900-02-29'];
        yield 'month 13' => ['2023-13-01'];
        yield 'day first' => ['12-05-2023'];
        yield 'short' => ['2023-5-1'];
        yield 'words' => ['yesterday!'];
    }

    #[DataProvider('notDays')]
    public function test_what_is_no_day_is_refused(string $text): void
    {
        self::assertNull(Day::numberFromIso($text));
        $this->expectException(InvalidArgumentException::class);
        Day::fromIso($text);
    }

    public function test_the_leap_day_is_folded_onto_28_february(): void
    {
        self::assertSame(59, Day::yearDayOf(Day::of(2024, 2, 28)->number));
        self::assertSame(59, Day::yearDayOf(Day::of(2024, 2, 29)->number));
        self::assertSame(60, Day::yearDayOf(Day::of(2024, 3, 1)->number));
        self::assertSame(365, Day::of(2024, 12, 31)->yearDay()->number);
        self::assertSame('2024-02-29', Day::of(2024, 2, 29)->iso());
    }

    public function test_sow_days_go_round_the_year(): void
    {
        self::assertSame('01-01', YearDay::fromNumber(365)->plus(1)->iso());
        self::assertSame(
            '12-31',
            YearDay::fromNumber(1)
                ->plus(-1)
                ->iso(),
        );
        self::assertSame(364, YearDay::fromNumber(2)->daysUntil(YearDay::fromNumber(1)));
        foreach (range(1, 365) as $number) {
            self::assertSame($number, YearDay::of(...YearDay::fromNumber($number)->monthAndDay())->number);
        }
    }

    public function test_a_day_of_the_year_is_read_back_as_it_is_written(): void
    {
        foreach (range(1, 365) as $number) {
            self::assertSame($number, YearDay::fromIso(YearDay::fromNumber($number)->iso())->number);
        }
        foreach (['02-29', '04-31', '13-01', '00-10', '05-00', '5-1', '05-12x', ''] as $text) {
            try {
                YearDay::fromIso($text);
                self::fail("“{$text}” was taken for a day.");
            } catch (InvalidArgumentException $error) {
                self::assertStringContainsString('written as MM-DD', $error->getMessage());
            }
        }
    }

    public function test_a_latitude_off_the_globe_is_refused(): void
    {
        self::assertTrue(Latitude::of(0)->isNorth());
        self::assertSame(
            '01-15',
            Latitude::of(-0.1)
                ->coldSeasonStart()
                ->iso(),
        );
        $this->expectExceptionMessage('A latitude lies between −90 and 90 degrees; 95 does not.');
        Latitude::of(95);
    }

    public function test_both_poles_are_latitudes_and_nothing_beyond(): void
    {
        self::assertSame([90.0, -90.0], [Latitude::of(90.0)->degrees, Latitude::of(-90.0)->degrees]);
        $this->expectExceptionMessage('A latitude lies between −90 and 90 degrees; 90.1 does not.');
        Latitude::of(90.1);
    }

    /** @return iterable<string, array{int, int, int}> */
    public static function starts(): iterable
    {
        yield 'a new year' => [2023, 1, 1];
        yield 'the last day of a leap year' => [2024, 12, 31];
        yield 'a leap day' => [2024, 2, 29];
        yield 'the day before' => [2024, 2, 28];
        yield 'the day after' => [2024, 3, 1];
        yield 'the end of February in another year' => [2023, 2, 28];
        yield 'a century without a leap day' => [1899, 6, 15];
    }

    #[DataProvider('starts')]
    public function test_days_of_the_year_in_a_row_are_those_of_each_day(int $year, int $month, int $day): void
    {
        $first = Day::of($year, $month, $day);
        $each = array_map(static fn (int $i): int => Day::yearDayOf($first->number + $i), range(0, 1999));
        self::assertSame($each, $first->yearDays(2000));
        self::assertSame([], $first->yearDays(0));
    }
}
