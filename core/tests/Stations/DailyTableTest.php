<?php

declare(strict_types=1);

namespace Anthesis\Tests\Stations;

use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Stations\ReadingChoices;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\TemperatureUnit;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DailyTableTest extends TestCase
{
    public function test_columns_are_found_in_any_order_with_any_usual_name(): void
    {
        $reading = Fixtures::read("station;Max (°C);remark;Day;Min (°C)\nx;12.5;;2001-03-01;−2.5\nx;13;;2001-03-03;1\n");
        self::assertSame([-2.5, null, 1.0], $reading->asRead->minimum);
        self::assertSame([12.5, null, 13.0], $reading->asRead->maximum);
        self::assertSame(['date' => 'Day', 'minimum' => 'Min (°C)', 'maximum' => 'Max (°C)'], $reading->columns);
        self::assertSame([';', 2, true], [$reading->delimiter, $reading->rows, $reading->unitStated]);
        self::assertSame('2001-03-01', $reading->asRead->first->iso());
    }

    public function test_fahrenheit_becomes_celsius(): void
    {
        $reading = Fixtures::read("\xEF\xBB\xBFdate,tmin_f,tmax_f\r\n2001-03-01,32,50\r\n2001-03-02,-40,212\r\n");
        self::assertSame(TemperatureUnit::Fahrenheit, $reading->unit);
        self::assertSame([0.0, -40.0], $reading->asRead->minimum);
        self::assertSame([10.0, 100.0], $reading->asRead->maximum);
    }

    public function test_a_year_of_summers_above_60_is_in_fahrenheit(): void
    {
        $rows = fn (int $year, float $scale, float $shift): string => implode(
            '',
            array_map(static function (int $i) use ($year, $scale, $shift): string {
                $c = 10 - 12 * cos((2 * M_PI * $i) / 365);

                return Day::of($year, 1, 1)->plus($i)->iso().
                    ','.
                    round(($c - 5) * $scale + $shift, 1).
                    ','.
                    round(($c + 5) * $scale + $shift, 1).
                    "\n";
            }, range(0, 364)),
        );
        $fahrenheit = Fixtures::read("date,min,max\n".$rows(2001, 1.8, 32));
        self::assertSame([TemperatureUnit::Fahrenheit, false], [$fahrenheit->unit, $fahrenheit->unitStated]);
        $celsius = Fixtures::read("date,min,max\n".$rows(2001, 1, 0));
        self::assertSame(TemperatureUnit::Celsius, $celsius->unit);
        self::assertEqualsWithDelta($celsius->asRead->maximum[200], $fahrenheit->asRead->maximum[200], 0.06);
        self::assertSame(
            TemperatureUnit::Celsius,
            Fixtures::read("date,min,max\n".$rows(2001, 1.8, 32), new ReadingChoices(unit: TemperatureUnit::Celsius))->unit,
            'the person knows better',
        );

        $this->expectExceptionMessage('Line 367: the unit seems to change from °C to °F with the year 2002');
        Fixtures::read("date,min,max\n".$rows(2001, 1, 0).$rows(2002, 1.8, 32));
    }

    public function test_an_older_encoding_is_read(): void
    {
        self::assertSame(TemperatureUnit::Fahrenheit, Fixtures::read("date,min (\xB0F),max (\xB0F)\n2001-01-01,32,41\n")->unit);
    }

    public function test_missing_values_stay_missing_and_a_single_wild_one_does_not_change_the_unit(): void
    {
        $reading = Fixtures::read("date,tmin,tmax\n2001-01-01,,-9999\n2001-01-02,NA,88.8\n2001-01-03,-99.9,M\n2001-01-04,0,0\n");
        self::assertSame([null, null, null, 0.0], $reading->asRead->minimum);
        self::assertSame([null, 88.8, null, 0.0], $reading->asRead->maximum);
        self::assertSame(0, $reading->refusedCount);
    }

    public function test_unreadable_rows_are_refused_alone_with_line_and_reason(): void
    {
        $reading = Fixtures::read(
            "date,tmin_c,tmax_c\n2001-01-01,1,2\n2001-01-xx,1,2\n2001-01-03,cold,2\n2001-02-30,1,2\n2001-01-04,3,4\n",
        );
        self::assertSame([1.0, null, null, 3.0], $reading->asRead->minimum);
        self::assertSame(3, $reading->refusedCount);
        self::assertSame(
            [[3, 'date'], [4, 'tmin_c'], [5, 'date']],
            array_map(static fn ($r): array => [$r->line, $r->column], $reading->refused),
        );
        self::assertSame('“cold” is not a temperature', Words::in('en')->phrase($reading->refused[1]->reason));
    }

    public function test_a_day_given_twice_is_marked_where_it_contradicts_itself(): void
    {
        $reading = Fixtures::read("date,tmin_c,tmax_c\n2001-01-01,1,2\n2001-01-02,1,5\n2001-01-02,1,6\n2001-01-02,1,5\n2001-01-03,1,7\n");
        self::assertSame(3, $reading->asRead->days());
        self::assertSame(
            [['2001-01-02', 'maximum', 'duplicate']],
            array_map(static fn ($m): array => [$m->day->iso(), $m->element->value, $m->rule->value], $reading->marks),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        $head = "date,tmin_c,tmax_c\n";
        yield 'empty' => ['', 'The file is empty.'];
        yield 'blank lines' => ["\n\n \n", 'The file is empty.'];
        yield 'heading only' => [$head, 'There is no day in this file: it has a heading and no rows.'];
        yield 'binary' => ["\x89PNG\r\n\x1a\n\0\0", 'Line 1: this is not text.'];
        yield 'binary later' => [$head."2001-01-01,1,\0", 'Line 2: this is not text.'];
        yield 'no minimum' => ["date,tmax_c,rain\n", 'Line 1: no column for the daily minimum among “date”, “tmax_c”, “rain”.'];
        yield 'no date' => ["tmin,tmax\n", 'Line 1: no column for a date'];
        yield 'two maxima' => ["date,tmin,tmax,high\n", 'Line 1: the daily maximum is given twice, as “tmax” and “high”.'];
        yield 'two units in the heading' => ["date,tmin_c,tmax_f\n", 'Line 1: “tmin_c” is in °C and “tmax_f” in °F.'];
        yield 'two units in the cells' => [
            "date,tmin,tmax\n2001-01-01,1C,50F\n",
            'Line 2, column “tmax”: “50F” is in °F and the rest of the file in °C.',
        ];
        yield 'another unit than stated' => [$head."2001-01-01,1,50 °F\n", 'Line 2, column “tmax_c”: “50 °F” is in °F'];
        yield 'out of order' => [$head."2001-01-02,1,2\n2001-01-01,1,2\n", 'Line 3, column “date”: 2001-01-01 comes after 2001-01-02.'];
        yield 'future' => [
            $head."2026-05-12,1,2\n2026-05-13,1,2\n",
            'Line 3, column “date”: 2026-05-13 has not come yet (today is 2026-05-12).',
        ];
        yield 'far past' => [$head."0201-01-01,1,2\n", 'Line 2, column “date”: 0201-01-01 is before 1700.'];
        yield 'far gap' => [
            $head."1901-01-01,1,2\n2001-01-01,1,2\n",
            'Line 3, column “date”: 2001-01-01 follows 1901-01-01, more than 20 years earlier.',
        ];
        yield 'one endless line' => [str_repeat('x', 70000), 'Line 1: the line is longer than 65536 characters.'];
        yield 'nothing readable' => [$head."a,b,c\n", 'There is no day in this file: no row could be read; line 2: “a” is not a date'];
    }

    #[DataProvider('broken')]
    public function test_a_file_that_cannot_be_taken_says_where_and_why(string $text, string $message): void
    {
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage($message);
        Fixtures::read($text, new ReadingChoices(today: Day::of(2026, 5, 12)));
    }
}
