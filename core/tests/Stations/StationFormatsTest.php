<?php

declare(strict_types=1);

namespace Anthesis\Tests\Stations;

use Anthesis\Messages\Words;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Mark;
use Anthesis\Stations\DateOrder;
use Anthesis\Stations\ReadingChoices;
use Anthesis\Stations\RecordFormat;
use Anthesis\Stations\StationExtent;
use Anthesis\Stations\StationFileReader;
use Anthesis\Stations\StationSurvey;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\TemperatureUnit;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Files the tests write from known values, in every format the application reads. */
final class StationFormatsTest extends TestCase
{
    private const STATION = 'XX000046800';

    /** The first five years of the northern station: two leap days would need more, one is there. */
    private static function known(): DailyRecord
    {
        $record = Fixtures::record('north');

        return new DailyRecord($record->first, array_slice($record->minimum, 0, 1827), array_slice($record->maximum, 0, 1827));
    }

    /** @param  callable(Day, float|null, float|null): string  $row */
    private static function rows(DailyRecord $record, callable $row): string
    {
        $text = '';
        foreach ($record->minimum as $i => $minimum) {
            $text .= $row($record->first->plus($i), $minimum, $record->maximum[$i]);
        }

        return $text;
    }

    private static function tenths(?float $value): string
    {
        return $value === null ? '-9999' : (string) (int) round($value * 10);
    }

    /** @param  array<string, string>  $flags three flags by "YYYY-MM-DD TMIN" */
    private static function months(DailyRecord $record, string $station = self::STATION, array $flags = []): string
    {
        $months = [];
        foreach (['TMAX' => $record->maximum, 'TMIN' => $record->minimum] as $element => $values) {
            foreach ($values as $i => $value) {
                $day = $record->first->plus($i);
                $months[substr($day->iso(), 0, 7)][$element][(int) substr($day->iso(), 8)] = sprintf(
                    '%5s%s',
                    self::tenths($value),
                    $flags["{$day->iso()} {$element}"] ?? '   ',
                );
            }
        }
        $text = '';
        foreach ($months as $month => $elements) {
            foreach ($elements as $element => $days) {
                $text .= $station.str_replace('-', '', $month).$element;
                for ($d = 1; $d <= 31; $d++) {
                    $text .= $days[$d] ?? '-9999   ';
                }
                $text .= "\n";
            }
            $text .= $station.str_replace('-', '', $month).'PRCP'.str_repeat('    0   ', 31)."\n";
        }

        return $text;
    }

    private static function survey(string $text, ReadingChoices $choices = new ReadingChoices()): StationSurvey
    {
        $stream = fopen('php://memory', 'w+') ?: self::fail();
        fwrite($stream, $text);
        rewind($stream);

        return (new StationFileReader())->survey($stream, $choices);
    }

    /** @return array<string, array{string, RecordFormat, TemperatureUnit}> */
    public static function formats(): array
    {
        $record = self::known();
        $number = static fn (?float $v): string => $v === null ? '' : number_format($v, 1, '.', '');
        $fahrenheit = static fn (?float $v): string => $v === null ? '' : number_format(($v * 9) / 5 + 32, 2, '.', '');
        $long = self::rows(
            $record,
            static fn (Day $d, ?float $min, ?float $max): string => implode(
                '',
                array_map(
                    static fn (string $element, ?float $v): string => $v === null
                        ? ''
                        : self::STATION.','.str_replace('-', '', $d->iso()).",{$element},".self::tenths($v).",,,S,0700\n",
                    ['TMAX', 'TMIN', 'PRCP'],
                    [$max, $min, 0.0],
                ),
            ),
        );
        $wide = static fn (callable $cell): string => "\"STATION\",\"NAME\",\"DATE\",\"PRCP\",\"TMAX\",\"TMIN\"\n".
            self::rows(
                $record,
                static fn (Day $d, ?float $min, ?float $max): string => '"'.
                    self::STATION.
                    "\",\"MADE UP, XX\",\"{$d->iso()}\",\"0.00\",\"{$cell($max)}\",\"{$cell($min)}\"\n",
            );

        return [
            'plain' => [
                "date,tmin_c,tmax_c\n".
                self::rows(
                    $record,
                    static fn (Day $d, ?float $min, ?float $max): string => "{$d->iso()},{$number($min)},{$number($max)}\n",
                ),
                RecordFormat::Table,
                TemperatureUnit::Celsius,
            ],
            'decimal commas, day first, no heading' => [
                self::rows(
                    $record,
                    static fn (Day $d, ?float $min, ?float $max): string => sprintf(
                        "%s.%s.%s;%s;%s\n",
                        substr($d->iso(), 8),
                        substr($d->iso(), 5, 2),
                        substr($d->iso(), 0, 4),
                        str_replace('.', ',', $number($max)),
                        str_replace('.', ',', $number($min)),
                    ),
                ),
                RecordFormat::Table,
                TemperatureUnit::Celsius,
            ],
            'bars, month first, °F' => [
                "Low|High|Date\n".
                self::rows(
                    $record,
                    static fn (Day $d, ?float $min, ?float $max): string => sprintf(
                        "%s|%s|%d/%d/%s\n",
                        $fahrenheit($min),
                        $fahrenheit($max),
                        (int) substr($d->iso(), 5, 2),
                        (int) substr($d->iso(), 8),
                        substr($d->iso(), 0, 4),
                    ),
                ),
                RecordFormat::Table,
                TemperatureUnit::Fahrenheit,
            ],
            'dly' => [self::months($record), RecordFormat::GhcnMonths, TemperatureUnit::TenthsCelsius],
            'long' => [$long, RecordFormat::GhcnLong, TemperatureUnit::TenthsCelsius],
            'wide, °C' => [$wide($number), RecordFormat::Table, TemperatureUnit::Celsius],
            'wide, °F' => [$wide($fahrenheit), RecordFormat::Table, TemperatureUnit::Fahrenheit],
            'wide, tenths' => [
                $wide(static fn (?float $v): string => $v === null ? '' : self::tenths($v)),
                RecordFormat::Table,
                TemperatureUnit::TenthsCelsius,
            ],
        ];
    }

    /** Some of the formats carry rain of 0 besides. */
    private static function temperatures(DailyRecord $record): string
    {
        return (new DailyRecord($record->first, $record->minimum, $record->maximum))->checksum();
    }

    #[DataProvider('formats')]
    public function test_one_and_the_same_record_is_the_same_series_in_every_format(
        string $text,
        RecordFormat $format,
        TemperatureUnit $unit,
    ): void {
        foreach ([$text, (string) gzencode($text)] as $file) {
            $reading = Fixtures::read($file);
            self::assertSame([$format, $unit], [$reading->format, $reading->unit]);
            self::assertSame(0, $reading->refusedCount);
            self::assertSame(self::known()->checksum(), self::temperatures($reading->asRead), 'bit for bit');
        }
    }

    public function test_a_dly_file_with_flags_a_leap_year_and_a_missing_month(): void
    {
        $first = Day::of(2004, 1, 1);
        $minimum = $maximum = [];
        for ($i = 0; $i < 366; $i++) {
            $may = str_starts_with($first->plus($i)->iso(), '2004-05');
            $minimum[] = $may ? null : ($i === 40 ? null : round(-5 + $i / 30, 1));
            $maximum[] = $may ? null : round(6 + $i / 31, 1);
        }
        $flags = ['2004-02-29 TMIN' => ' I ', '2004-03-01 TMAX' => 'HX0', '2004-03-02 TMAX' => 'L S', '2004-06-30 TMIN' => '  G'];
        $text = self::months(new DailyRecord($first, $minimum, $maximum), self::STATION, $flags);
        // May is not there at all, as in files of real stations.
        $text = implode(
            "\n",
            array_filter(explode("\n", $text), static fn (string $l): bool => ! str_starts_with($l, self::STATION.'200405')),
        );
        $reading = Fixtures::read($text);
        self::assertSame(366, $reading->asRead->days());
        self::assertSame($minimum, $reading->asRead->minimum);
        self::assertSame($maximum, $reading->asRead->maximum);
        self::assertSame(
            ['2004-02-29 minimum source-flag', '2004-03-01 maximum source-flag'],
            array_map(static fn (Mark $m): string => "{$m->day->iso()} {$m->element->value} {$m->rule->value}", $reading->marks),
            'only the second of the three flags doubts a value',
        );
        self::assertSame(self::STATION, $reading->station);
    }

    public function test_attributes_of_wide_summaries_doubt_a_value(): void
    {
        $reading = Fixtures::read(
            "STATION,DATE,TMAX,TMAX_ATTRIBUTES,TMIN,TMIN_ATTRIBUTES\nX1,2001-03-01,12.0,\",,S\",3.0,\",I,S\"\nX1,2001-03-02,12.0,\"H,,S\",3.5,\",,S\"\n",
        );
        self::assertCount(1, $reading->marks);
        self::assertSame('minimum', $reading->marks[0]->element->value);
    }

    public function test_of_several_stations_one_is_read_and_all_are_listed(): void
    {
        $record = self::known();
        $text = self::months($record, 'XX000000001').self::months($record, 'XX000000002');
        $survey = self::survey($text);
        self::assertSame(
            [['XX000000001', '1999-01-01', 122], ['XX000000002', '1999-01-01', 122]],
            array_map(static fn (StationExtent $e): array => [$e->station, $e->first, $e->rows], $survey->stations),
        );
        self::assertSame(
            $record->checksum(),
            self::temperatures($survey->reading->asRead ?? self::fail()),
            'the first stands for the others until one is chosen',
        );
        self::assertSame('XX000000002', Fixtures::read($text, new ReadingChoices(station: 'XX000000002'))->station);
        $this->expectExceptionMessage('The file holds several stations, XX000000001 and XX000000002 among them.');
        Fixtures::read($text);
    }

    public function test_a_stray_date_does_not_change_the_order_of_a_file(): void
    {
        $reading = Fixtures::read("date,min,max\n2001-03-01,1,2\n12/03/2001,1,2\n2001-03-03,1,2\n");
        self::assertSame([DateOrder::YearFirst, 1], [$reading->dateOrder, $reading->refusedCount]);
    }

    public function test_columns_and_dates_can_be_chosen(): void
    {
        $text = "when,a,b,c\n03/04/2001,1,9,5\n04/04/2001,2,8,6\n";
        $choices = new ReadingChoices(columns: ['date' => 0, 'minimum' => 1, 'maximum' => 3], dateOrder: DateOrder::MonthFirst);
        $reading = Fixtures::read($text, $choices);
        self::assertSame(
            ['2001-03-04', [5.0, 6.0]],
            [$reading->asRead->first->iso(), [$reading->asRead->maximum[0], $reading->asRead->maximum[31]]],
        );
        self::assertSame(['when', 'a', 'b', 'c'], $reading->choices);
        $this->expectExceptionMessage('Line 1: there is no column 8 to take the daily maximum from; there are 4.');
        Fixtures::read($text, new ReadingChoices(columns: ['date' => 0, 'minimum' => 1, 'maximum' => 7]));
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        $dly = self::STATION.'200001TMIN'.str_repeat('  -50   ', 31)."\n";
        yield 'dly with a stray line' => [$dly."hello\n", 'Line 2: this is not a line of a .dly file'];
        yield 'dly without temperatures' => [
            str_replace('TMIN', 'SNOW', $dly),
            'There is no daily minimum or maximum in this file.',
        ];
        yield 'dly of the future' => [str_replace('200001', '203001', $dly), '2030-01-01 has not come yet'];
        yield 'station not there' => [
            "STATION,DATE,TMIN,TMAX\nA,2001-01-01,1,2\nB,2001-01-01,1,2\n",
            'The file holds several stations, A and B among them.',
        ];
        yield 'day or month first' => [
            "date,min,max\n03/04/2001,1,2\n04/04/2001,1,2\n",
            'Line 1, column “date”: these dates could have the day or the month first.',
        ];
        yield 'no heading and one number' => [
            "2001-01-01,1\n2001-01-02,2\n",
            'without a heading, a date and two columns of temperatures are needed.',
        ];
        yield 'damaged gzip' => [substr((string) gzencode(str_repeat('date,min,max', 9000)), 0, 30).'xxxxxxxxxx', 'damaged'];
    }

    #[DataProvider('broken')]
    public function test_what_cannot_be_read_says_where_and_why(string $text, string $message): void
    {
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage($message);
        Fixtures::read($text, new ReadingChoices(today: Day::of(2026, 5, 12)));
    }

    public function test_values_that_are_none_are_refused_alone(): void
    {
        $dly = self::STATION.'200001TMIN'.'  ab1   '.str_repeat('  -50   ', 30)."\n";
        $reading = Fixtures::read($dly);
        self::assertSame(
            [1, '“ab1” on day 1 is not a value'],
            [$reading->refusedCount, Words::in('en')->phrase($reading->refused[0]->reason)],
        );
        $long = Fixtures::read(
            self::STATION.
                ",20010101,TMIN,-50,,,S,\n".
                self::STATION.
                ",20010231,TMIN,-50,,,S,\n".
                self::STATION.
                ",20010102,TMIN,-45,,X,S,\n",
        );
        self::assertSame([-5.0, -4.5], $long->asRead->minimum);
        self::assertSame(['day', 1], [$long->refused[0]->column, count($long->marks)]);
    }

    /** @return array<string, array{string}> two places in one table, told apart by a column of a known name or of any */
    public static function tablesOfTwoPlaces(): array
    {
        $days = static fn (string $place, float $by): array => array_map(
            static fn (int $i): string => sprintf(
                '%s,%s,%.1f,%.1f',
                $place,
                Day::of(2001, 3, 1)->plus($i)->iso(),
                $by + ($i % 7),
                $by + 9 + ($i % 5),
            ),
            range(0, 29),
        );
        [$low, $high] = [$days('Saddlewick', 1.0), $days('Upper Marl', -4.0)];
        $turns = implode("\n", array_merge(...array_map(null, $low, $high)));
        $blocks = implode("\n", [...$low, ...$high]);

        return [
            'known name, one after the other' => ["site,date,tmin_c,tmax_c\n{$blocks}\n"],
            'known name, in turns' => ["site,date,tmin_c,tmax_c\n{$turns}\n"],
            'any name, one after the other' => ["Ort,date,tmin_c,tmax_c\n{$blocks}\n"],
            'any name, in turns' => ["Ort,date,tmin_c,tmax_c\n{$turns}\n"],
            'no heading, in turns' => ["{$turns}\n"],
        ];
    }

    #[DataProvider('tablesOfTwoPlaces')]
    public function test_two_places_of_one_table_are_told_apart_and_never_mixed(string $text): void
    {
        $survey = self::survey($text);
        self::assertSame(
            ['Saddlewick', 'Upper Marl'],
            array_map(static fn (StationExtent $e): string => $e->station, $survey->stations),
        );
        self::assertSame(
            ['Saddlewick', 30, 0],
            [$survey->reading?->station, $survey->reading?->rows, $survey->reading?->contradicted],
        );
        $second = self::survey($text, new ReadingChoices(station: 'Upper Marl'))->reading;
        self::assertSame([-4.0, -3.0], array_slice($second->asRead->minimum ?? [], 0, 2));
        $this->expectExceptionMessage('The file holds several stations, Saddlewick and Upper Marl among them.');
        Fixtures::read($text);
    }

    public function test_a_table_that_gives_most_days_twice_says_that_it_contradicts_itself(): void
    {
        $rows = implode(
            '',
            array_map(static fn (int $d): string => sprintf("2001-03-%02d,1.0,9.0\n2001-03-%02d,-4.0,5.0\n", $d, $d), range(1, 20)),
        );
        $reading = Fixtures::read("date,tmin_c,tmax_c\n{$rows}");
        self::assertSame([20, true], [$reading->contradicted, $reading->contradictsItself()]);
        $half = Fixtures::read("date,tmin_c,tmax_c\n2001-03-01,1,9\n2001-03-01,2,9\n2001-03-02,1,9\n");
        self::assertSame([1, false], [$half->contradicted, $half->contradictsItself()]);
    }

    public function test_remarks_and_numbers_of_rows_are_no_places(): void
    {
        $rows = static fn (callable $extra): string => implode(
            '',
            array_map(static fn (int $d): string => sprintf("2001-03-%02d,1.0,9.0,%s\n", min($d, 20), $extra($d)), range(1, 21)),
        );
        self::assertSame([], self::survey("date,tmin_c,tmax_c,id\n{$rows(static fn (int $d): string => (string) $d)}")->stations);
        self::assertSame(
            [],
            self::survey("date,tmin_c,tmax_c,remark\n{$rows(static fn (int $d): string => "seen {$d}")}")->stations,
        );
        // A word beside none, on the day that is there twice, tells no place from another.
        foreach ([20, 21] as $without) {
            $wind = static fn (int $d): string => $d === $without ? '' : ['calm', 'windy'][$d % 2];
            self::assertSame([], self::survey("date,tmin_c,tmax_c,wind\n{$rows($wind)}")->stations, "none in row {$without}");
        }
        $wind = static fn (int $d): string => ['calm', 'windy'][$d % 2];
        self::assertSame(['windy', 'calm'], array_column(self::survey("date,tmin_c,tmax_c,wind\n{$rows($wind)}")->stations, 'station'));
    }

    public function test_a_refused_table_names_its_columns(): void
    {
        try {
            Fixtures::read("when,a,b\n03/04/2001,1,9\n");
            self::fail('It has no column of dates.');
        } catch (FormatError $error) {
            self::assertSame(['when', 'a', 'b'], $error->headings);
        }
    }

    public function test_numbers_no_thermometer_writes_are_refused_by_their_line(): void
    {
        $reading = Fixtures::read(
            "date,tmin_c,tmax_c\n2001-03-01,1e400,9\n2001-03-02,".str_repeat('7', 310).",9\n2001-03-03,1,9\n",
        );
        self::assertSame([2, 2], [$reading->refusedCount, $reading->refused[0]->line]);
        self::assertSame([null, null, 1.0], $reading->asRead->minimum);
    }

    public function test_a_mangled_line_is_told_in_text_that_can_be_sent(): void
    {
        $line = 'XX000046800200103TMIN'.str_repeat('-9999   ', 31);
        $reading = Fixtures::read(substr_replace($line, ' 1é2 ', 21, 5)."\n".str_replace('-9999   ', '   12   ', $line)."\n");
        self::assertNotFalse(
            json_encode(array_map(static fn ($r): string => Words::in('en')->phrase($r->reason), $reading->refused)),
        );
        self::assertGreaterThan(0, $reading->refusedCount);
    }

    public function test_a_file_says_how_finely_it_is_written(): void
    {
        $step = static fn (string $rows): float => round(Fixtures::read("date,min,max\n{$rows}")->step, 4);
        self::assertSame(1.0, $step("2001-03-01,1,9\n2001-03-02,2,11.0\n"));
        self::assertSame(0.1, $step("2001-03-01,1,9\n2001-03-02,2.3,11\n"));
        self::assertSame(0.01, $step("2001-03-01,1,9\n2001-03-02,2.3,11.27\n"));
        self::assertSame(0.5556, round(Fixtures::read("date,tmin_f,tmax_f\n2001-03-01,31,49\n")->step, 4));
    }
}
