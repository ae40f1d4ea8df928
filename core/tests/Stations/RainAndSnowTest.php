<?php

declare(strict_types=1);

namespace Anthesis\Tests\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\FilledRecord;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityControl;
use Anthesis\Record\QualityDecision;
use Anthesis\Record\RecordUpdate;
use Anthesis\Record\StationSeries;
use Anthesis\Stations\DailyRecordReading;
use Anthesis\Stations\ReadingChoices;
use Anthesis\Stations\StationFileReader;
use Anthesis\Tables\DepthUnit;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rain and the snow lying, from a file's cells to the record that is used. */
final class RainAndSnowTest extends TestCase
{
    /** A spring with snow, then rain: mm and cm, null where nothing was written. */
    private const RAIN = [0.0, 2.5, null, 10.2, 0.3, 25.4];

    private const SNOW = [12.0, 12.0, 10.0, null, 0.0, 0.0];

    /** @return iterable<string, array{string}> the same six days */
    public static function formats(): iterable
    {
        $table = static function (string $heading, callable $row): string {
            $text = $heading."\n";
            foreach (self::RAIN as $i => $rain) {
                $text .= $row('2001-03-0'.($i + 1), $rain, self::SNOW[$i])."\n";
            }

            return $text;
        };
        yield 'mm and cm' => [$table('date,tmin_c,tmax_c,rain_mm,snow_cm', static fn ($d, $r, $s): string => "{$d},-1.0,6.0,{$r},{$s}")];
        yield 'inches' => [
            $table('Date,Low F,High F,Precip (in),Snow depth (in)', static fn ($d, $r, $s): string => "{$d},30.2,42.8,".
                ($r === null ? 'M' : $r / 25.4).','.($s === null ? '' : $s / 2.54)),
        ];
        yield 'inches, because the temperatures are in °F' => [
            $table('DATE,TMIN_F,TMAX_F,PRCP,SNWD', static fn ($d, $r, $s): string => "{$d},30.2,42.8,".
                ($r === null ? '' : $r / 25.4).','.($s === null ? '' : $s / 2.54)),
        ];
        yield 'a daily summary in metric units' => [
            $table('STATION,DATE,PRCP,SNOW,SNWD,TMAX,TMIN', static fn ($d, $r, $s): string => "X1,{$d},{$r},99,".
                ($s === null ? '' : $s * 10).',6.0,-1.0'),
        ];
        yield 'GHCN-Daily, long' => [self::long(static fn (string $date): array => [['TMAX', 60], ['TMIN', -10]])];
        $months = '';
        foreach (['PRCP' => [self::RAIN, 10], 'SNWD' => [self::SNOW, 10], 'TMAX' => [6.0, 10], 'TMIN' => [-1.0, 10]] as $element => $of) {
            $months .= "XX000000001200103{$element}";
            for ($i = 0; $i < 31; $i++) {
                $value = $i > 5 ? null : (is_array($of[0]) ? $of[0][$i] : $of[0]);
                $months .= str_pad($value === null ? '-9999' : (string) (int) round($value * $of[1]), 5, ' ', STR_PAD_LEFT).'   ';
            }
            $months .= "\n";
        }
        yield 'GHCN-Daily, months' => [$months];
    }

    public function test_a_month_of_thirty_days_has_no_thirty_first_and_a_flagged_sum_is_doubted(): void
    {
        $month = static function (string $element, int $value, string $flag = ' '): string {
            $text = "XX000000001200104{$element}";
            for ($i = 0; $i < 31; $i++) {
                // The second flag is that of quality; a column that is no day holds a value all the same.
                $text .= str_pad((string) $value, 5, ' ', STR_PAD_LEFT).' '.($i === 4 ? $flag : ' ').' ';
            }

            return "{$text}\n";
        };
        $reading = Fixtures::read($month('TMAX', 120).$month('TMIN', 20).$month('PRCP', 50, 'D'));
        self::assertSame('2001-04-30', $reading->asRead->last()->iso());
        self::assertSame(30, $reading->asRead->days());
        $marked = array_filter($reading->marks, static fn ($mark): bool => $mark->element === Element::Rain);
        self::assertSame(['2001-04-05'], array_values(array_map(static fn ($mark): string => $mark->day->iso(), $marked)));
    }

    public function test_the_mark_for_missing_is_no_value(): void
    {
        $row = static fn (string $day, string $element, int $value): string => "XX000000001,200103{$day},{$element},{$value},,,S,\n";
        $reading = Fixtures::read(
            $row('01', 'TMAX', 60).$row('01', 'TMIN', -10).$row('02', 'TMAX', -9999).$row('02', 'TMIN', -20).
                $row('03', 'TMAX', 70).$row('03', 'TMIN', 0),
        );
        self::assertSame([6.0, null, 7.0], $reading->asRead->maximum);
        self::assertSame([], $reading->marks);
    }

    private static function long(callable $temperatures): string
    {
        $text = '';
        foreach (self::RAIN as $i => $rain) {
            $date = '2001030'.($i + 1);
            $rows = [['PRCP', $rain === null ? null : $rain * 10], ['SNWD', self::SNOW[$i] === null ? null : self::SNOW[$i] * 10]];
            foreach ([...$rows, ...$temperatures($date)] as [$element, $value]) {
                if ($value !== null) {
                    $text .= "XX000000001,{$date},{$element},".(int) round($value).",,,S,\n";
                }
            }
        }

        return $text;
    }

    #[DataProvider('formats')]
    public function test_the_same_rain_and_snow_are_read_from_every_format(string $text): void
    {
        $record = Fixtures::read($text)->asRead;
        self::assertSame(self::RAIN, array_slice($record->rain ?? [], 0, 6));
        self::assertSame(self::SNOW, array_slice($record->snow ?? [], 0, 6));
        self::assertSame([-1.0, 6.0], [$record->minimum[0], $record->maximum[0]]);
    }

    private static function read(string $text, ReadingChoices $choices = new ReadingChoices()): DailyRecordReading
    {
        $stream = fopen('php://memory', 'w+') ?: self::fail();
        fwrite($stream, $text);
        rewind($stream);

        return (new StationFileReader())->survey($stream, $choices)->reading ?? self::fail();
    }

    public function test_units_are_told_and_can_be_chosen(): void
    {
        $text = "date,tmin_c,tmax_c,rain,snow_depth\n2001-03-01,1,9,2,4\n";
        $reading = self::read($text);
        self::assertSame(
            ['rain' => ['rain', 'mm', false], 'snow' => ['snow_depth', 'cm', false]],
            array_map(static fn ($d): array => [$d->column, $d->unit->value, $d->isStated], $reading->depths),
        );
        $chosen = self::read($text, new ReadingChoices(rain: DepthUnit::Inches, snow: DepthUnit::Millimetres));
        self::assertSame([[50.8], [0.4]], [$chosen->asRead->rain, $chosen->asRead->snow]);
        $none = self::read($text, new ReadingChoices(columns: ['date' => 0, 'minimum' => 1, 'maximum' => 2, 'rain' => -1, 'snow' => 4]));
        self::assertSame([null, [4.0]], [$none->asRead->rain, $none->asRead->snow]);
    }

    public function test_a_bare_snow_column_is_what_fell_and_a_blank_column_measures_nothing(): void
    {
        $record = Fixtures::read("date,tmin_c,tmax_c,snow,prcp\n2001-03-01,1,9,3,\n2001-03-02,1,9,4,\n")->asRead;
        self::assertNull($record->snow);
        self::assertNull($record->rain);
        self::assertSame([3.0, 4.0], Fixtures::read("date,tmin_c,tmax_c,snow_cm\n2001-03-01,1,9,3\n2001-03-02,1,9,4\n")->asRead->snow);
    }

    public function test_traces_are_no_rain_and_sums_of_several_days_are_kept_and_not_used(): void
    {
        $reading = Fixtures::read(
            "date,tmin_c,tmax_c,prcp\n2001-03-01,1,9,T\n2001-03-02,1,9,S\n2001-03-03,1,9,14.2A\n2001-03-04,1,9,wet\n",
        );
        self::assertSame([0.0, null, 14.2, null], $reading->asRead->rain);
        self::assertSame(4, $reading->asRead->days(), 'a cell of rain that cannot be read leaves the row’s temperatures');
        self::assertSame([4, 'prcp'], [$reading->refused[0]->line - 1, $reading->refused[0]->column]);
        self::assertSame(
            ['2001-03-03 rain sum-of-days'],
            array_map(static fn (Mark $m): string => "{$m->day->iso()} {$m->element->value} {$m->rule->value}", $reading->marks),
        );
        self::assertSame([0.0, null, null, null], (new QualityControl())->check($reading->asRead, $reading->marks)->usable->rain);
    }

    public function test_rain_does_not_make_a_record_longer_and_a_station_of_rain_alone_is_passed_by(): void
    {
        $rain = "XX000000001,20010227,PRCP,50,,,S,\nXX000000001,20010301,PRCP,30,,,S,\n";
        $temperatures = "XX000000001,20010301,TMAX,60,,,S,\nXX000000001,20010301,TMIN,-10,,,S,\n";
        $record = Fixtures::read("XX000000009,20010101,PRCP,70,,,S,\n".$rain.$temperatures)->asRead;
        self::assertSame([[3.0], '2001-03-01', 1], [$record->rain, $record->first->iso(), $record->days()]);
    }

    public function test_a_source_flag_and_a_day_given_twice_doubt_an_amount(): void
    {
        $reading = Fixtures::read(
            "STATION,DATE,TMAX,TMIN,PRCP,PRCP_ATTRIBUTES,SNWD,SNWD_ATTRIBUTES\n".
                "X1,2001-03-01,12.0,3.0,40.0,\",I,S\",0,\",,S\"\nX1,2001-03-02,12.0,3.5,2.0,\",,S\",0,\",,S\"\nX1,2001-03-02,12.0,3.5,3.0,\",,S\",0,\",,S\"\n",
        );
        self::assertSame(
            ['2001-03-01 source-flag', '2001-03-02 duplicate'],
            array_map(static fn (Mark $m): string => "{$m->day->iso()} {$m->rule->value}", $reading->marks),
        );
        self::assertSame(0, $reading->contradicted, 'the temperatures agree');
    }

    public function test_amounts_beyond_belief_are_not_used_and_runs_and_jumps_are_believed(): void
    {
        $days = 12;
        $rain = array_fill(0, $days, 0.0);
        [$rain[1], $rain[2], $rain[3]] = [600.0, 600.1, -0.1];
        $snow = array_fill(0, $days, 1000.0);
        [$snow[4], $snow[5]] = [1000.5, -1.0];
        $temperatures = array_map(static fn (int $i): float => $i / 10, range(1, $days));
        $first = Day::of(2001, 3, 1);
        $record = new DailyRecord($first, $temperatures, array_map(static fn (float $t): float => $t + 5, $temperatures), $rain, $snow);
        $report = (new QualityControl())->check($record, [], Day::of(2001, 3, 11));
        self::assertSame(
            ['03 rain out-of-range', '04 rain out-of-range', '05 snow out-of-range', '06 snow out-of-range'],
            array_values(
                array_filter(
                    array_map(
                        static fn (Mark $m): string => substr($m->day->iso(), 8)." {$m->element->value} {$m->rule->value}",
                        $report->marks,
                    ),
                    static fn (string $mark): bool => ! str_contains($mark, 'future'),
                ),
            ),
        );
        self::assertSame([null], array_slice($report->usable->rain ?? [], 11), 'a day to come');
        self::assertSame(600.0, $report->usable->rain[1] ?? null);
        $decided = QualityDecision::apply($record, $report->marks, [new QualityDecision($first->plus(2), Element::Rain, true)]);
        self::assertSame([600.1, null], [$decided->rain[2] ?? null, $decided->rain[3] ?? null]);
    }

    public function test_a_newer_file_brings_rain_and_keeps_what_it_does_not_hold(): void
    {
        $first = Day::of(2001, 3, 1);
        $before = new DailyRecord($first, [1.0, 2.0], [5.0, 6.0], [3.0, 4.0]);
        $file = new DailyRecord($first->plus(1), [2.0, 3.0], [6.0, 7.0], [4.5, null], [9.0, 8.0]);
        $update = RecordUpdate::of($before, [], $file, [], 0.1, 0.5);
        self::assertSame([3.0, 4.5, null], $update->updated->rain);
        self::assertSame([null, 9.0, 8.0], $update->updated->snow);
        self::assertSame(['new' => 4, 'changed' => 1, 'unchanged' => 2, 'kept' => 3], $update->counts());
    }

    public function test_stations_fill_in_each_others_rain_as_it_was_measured(): void
    {
        $first = Day::of(2001, 3, 1);
        $one = new DailyRecord($first, [1.0, 2.0], [5.0, 6.0], [3.0, null]);
        $other = new DailyRecord($first->plus(1), [1.0, 2.0], [5.0, 6.0], [7.0, 8.0], [1.0, 2.0]);
        $filled = FilledRecord::of([new StationSeries($one), new StationSeries($other, 500.0)])->record;
        self::assertSame([[3.0, 7.0, 8.0], [null, 1.0, 2.0]], [$filled->rain, $filled->snow]);
        self::assertNull(FilledRecord::of([new StationSeries(new DailyRecord($first, [1.0], [5.0]))])->record->rain);
    }

    public function test_a_record_without_rain_has_the_fingerprint_it_had(): void
    {
        $first = Day::of(2001, 3, 1);
        $plain = new DailyRecord($first, [1.0], [5.0]);
        self::assertSame(hash('sha256', '2001-03-01|[[1],[5]]'), $plain->checksum());
        self::assertNotSame($plain->checksum(), (new DailyRecord($first, [1.0], [5.0], [0.0]))->checksum());
        self::assertNotSame(
            (new DailyRecord($first, [1.0], [5.0], [0.0]))->checksum(),
            (new DailyRecord($first, [1.0], [5.0], null, [0.0]))->checksum(),
        );
    }

    public function test_of_several_columns_of_rain_the_best_known_name_is_read(): void
    {
        $record = Fixtures::read("date,tmin_c,tmax_c,precip_mm,rain_mm,snow_depth_cm,snwd_cm\n2001-03-01,1,9,7,3,5,2\n")->asRead;
        self::assertSame([[3.0], [2.0]], [$record->rain, $record->snow]);
    }
}
