<?php

declare(strict_types=1);

namespace Anthesis\Tests\Stations;

use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Stations\DateOrder;
use Anthesis\Stations\ProbeCsv;
use Anthesis\Stations\ReadingChoices;
use Anthesis\Stations\SeriesBuilder;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\Delimited;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\TemperatureUnit;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is taken to the very day, row and letter, and what no longer is. */
final class BoundsTest extends TestCase
{
    private static function rows(int $count, string $row = '%s,1.0,9.0'): string
    {
        $first = Day::of(2001, 1, 1)->number;

        return "date,tmin,tmax\n".
            implode(
                '',
                array_map(static fn (int $i): string => sprintf($row, Day::fromNumber($first + $i)->iso())."\n", range(0, $count - 1)),
            );
    }

    public function test_a_hundred_refused_rows_are_kept_and_all_are_counted(): void
    {
        $reading = Fixtures::read(self::rows(3).str_repeat("2001-02-xx,1,2\n", 103));
        self::assertSame([100, 103], [count($reading->refused), $reading->refusedCount]);
        self::assertSame(100, SeriesBuilder::REFUSALS_KEPT);
    }

    public function test_a_file_is_given_up_when_two_thousand_rows_began_with_no_date(): void
    {
        self::assertSame(1999, Fixtures::read("date,tmin,tmax\n".str_repeat("gone,1,2\n", 1999)."2001-01-01,1,2\n")->refusedCount);
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage('none of the first 2,000 rows has a date written as YYYY-MM-DD');
        Fixtures::read("date,tmin,tmax\n".str_repeat("gone,1,2\n", 2000)."2001-01-01,1,2\n");
    }

    public function test_a_record_may_have_a_gap_of_twenty_years_and_no_longer_one_and_begin_in_1700(): void
    {
        $text = static fn (string $first, string $next): string => "date,tmin,tmax\n{$first},1,2\n{$next},1,2\n";
        self::assertSame('1700-01-01', Fixtures::read("date,tmin,tmax\n1700-01-01,1,2\n")->asRead->first->iso());
        self::assertSame(
            20 * 366 + 1,
            Fixtures::read(
                $text(
                    '1980-01-01',
                    Day::of(1980, 1, 1)
                        ->plus(20 * 366)
                        ->iso(),
                ),
            )->asRead->days(),
        );
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage('more than 20 years earlier');
        Fixtures::read(
            $text(
                '1980-01-01',
                Day::of(1980, 1, 1)
                    ->plus(20 * 366 + 1)
                    ->iso(),
            ),
        );
    }

    public function test_a_number_of_a_million_is_a_value_and_a_larger_one_none(): void
    {
        $reading = Fixtures::read("date,tmin,tmax\n2001-01-01,1,2\n2001-01-02,1000000,2\n2001-01-03,1000001,2\n");
        self::assertSame([1, 4], [$reading->refusedCount, $reading->refused[0]->line]);
    }

    /** A unit is told by ten days of a year that no place on earth has in it. */
    #[TestWith([9, '95', 'celsius'])]
    #[TestWith([10, '95', 'fahrenheit'])]
    #[TestWith([40, '60', 'celsius'])]
    #[TestWith([40, '60.1', 'fahrenheit'])]
    #[TestWith([9, '200', 'celsius'])]
    #[TestWith([10, '200', 'tenths-celsius'])]
    #[TestWith([40, '150', 'fahrenheit'])]
    #[TestWith([40, '150.1', 'tenths-celsius'])]
    public function test_the_unit_is_told_by_days_too_hot_for_another(int $hot, string $maximum, string $unit): void
    {
        $rows = explode("\n", trim(self::rows(365, '%s,30,50')));
        foreach (range(1, $hot) as $i) {
            $rows[200 + $i] = str_replace(',50', ",{$maximum}", $rows[200 + $i]);
        }
        self::assertSame($unit, Fixtures::read(implode("\n", $rows)."\n")->unit->value);
    }

    public function test_readings_of_today_are_taken_and_of_tomorrow_not(): void
    {
        $read = static function (string $day): int {
            $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory.');
            fwrite($stream, "timestamp,depth_cm,temp\n{$day} 09:00,5,7\n");
            rewind($stream);

            return count(ProbeCsv::read($stream, Day::of(2026, 5, 12), TemperatureUnit::Celsius)->readings);
        };
        self::assertSame(1, $read('2026-05-12'));
        $this->expectException(FormatError::class);
        $read('2026-05-13');
    }

    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,3,80\n", 1])]
    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,0,-40\n", 1])]
    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,3.01,80\n", 0])]
    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,0,-40.1\n", 0])]
    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,0,80.1\n", 0])]
    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,-0.01,8\n", 0])]
    public function test_the_deepest_coldest_and_hottest_reading(string $text, int $taken): void
    {
        $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory.');
        fwrite($stream, $text);
        rewind($stream);
        try {
            self::assertCount($taken, ProbeCsv::read($stream, Day::of(2026, 5, 12))->readings);
        } catch (FormatError) {
            self::assertSame(0, $taken);
        }
    }

    public function test_cells_are_shown_whole_up_to_forty_letters(): void
    {
        self::assertSame(str_repeat('é', 40), Delimited::shown(str_repeat('é', 40)));
        self::assertSame(str_repeat('é', 39).'…', Delimited::shown(str_repeat('é', 41)));
    }

    /** @param  list<string>  $dates */
    #[TestWith([['13.04.2001'], DateOrder::DayFirst])]
    #[TestWith([['12.04.2001'], null])]
    #[TestWith([['04/13/2001'], DateOrder::MonthFirst])]
    #[TestWith([['2001-04-13'], DateOrder::YearFirst])]
    #[TestWith([['2001-04-13', '13.04.2001'], DateOrder::DayFirst])]
    #[TestWith([['2001-04-13', '2001-04-14', '13.04.2001'], DateOrder::YearFirst])]
    public function test_the_order_of_dates_is_told_by_a_number_no_month_has_and_by_at_least_half_of_them(
        array $dates,
        ?DateOrder $order,
    ): void {
        self::assertSame($order, DateOrder::of($dates));
    }

    public function test_places_are_told_apart_by_a_known_column_whose_names_come_again(): void
    {
        $rows = static fn (array $names): string => "station,date,tmin,tmax\n".
            implode(
                '',
                array_map(
                    static fn (string $name, int $i): string => sprintf("%s,2001-01-%02d,1,9\n", $name, $i + 1),
                    $names,
                    array_keys($names),
                ),
            );
        self::assertSame('A', Fixtures::read($rows(['A', 'A', 'A', 'A']))->station);
        self::assertNull(Fixtures::read($rows(['1', '2', '3', '4']))->station, 'numbers that never come again count rows');
        self::assertSame('A', Fixtures::read($rows(['A', 'A', 'B', 'B']), new ReadingChoices(station: 'A'))->station, 'each comes twice');
        self::assertNull(Fixtures::read($rows(['A', 'A', 'B', 'C', 'D']))->station, 'most come once');
    }

    public function test_the_pseudo_language_is_a_third_longer_than_what_stands_outside_of_braces(): void
    {
        self::assertSame('[1 tö 9 dáýs~~~]', Words::in(Words::PSEUDO[0])->say('crop-range.days', ['least' => 1, 'most' => 9]));
    }

    public function test_of_a_short_record_the_year_with_the_most_hot_days_tells_the_unit(): void
    {
        $hot = explode("\n", trim(self::rows(400, '%s,30,50')));
        foreach (range(1, 12) as $i) {
            $hot[370 + $i] = str_replace(',50', ',95', $hot[370 + $i]);
        }
        // 295 days of 2001, and 35 of 2002: neither year is long enough to be judged by itself.
        unset($hot[1], $hot[2]);
        $short = implode("\n", [$hot[0], ...array_slice($hot, 70)])."\n";
        self::assertSame('fahrenheit', Fixtures::read($short)->unit->value);
    }

    public function test_a_crop_table_that_is_not_there_is_refused_by_its_path(): void
    {
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage('There is no file “/nowhere/crops.csv” to read a crop table from.');
        CropCsv::fromFile('/nowhere/crops.csv');
    }
}
