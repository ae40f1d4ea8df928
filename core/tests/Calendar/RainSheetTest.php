<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\RainSheet;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Ground;
use Anthesis\Tests\Fixtures;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Workable;
use PHPUnit\Framework\TestCase;

final class RainSheetTest extends TestCase
{
    /**
     * Weather that is the same every day, 2001 to 2004, but for rain.
     *
     * @param  callable(int $year, int $month, int $dayOfMonth): (float|null)  $rain
     * @return array<string, mixed>
     */
    private function sheet(callable $rain, float $latitude = 45.0, float $share = 0.8): array
    {
        $first = Day::of(2001, 1, 1);
        $last = Day::of(2004, 12, 31);
        $days = $last->number - $first->number + 1;
        $fallen = [];
        for ($i = 0; $i < $days; $i++) {
            $fallen[] = $rain(...Day::civil($first->number + $i));
        }
        $record = new DailyRecord($first, array_fill(0, $days, 10.0), array_fill(0, $days, 20.0), $fallen);

        return RainSheet::of($record, Latitude::of($latitude), $share) ?? self::fail('it has rain');
    }

    public function test_a_record_without_rain_has_none(): void
    {
        self::assertNull(RainSheet::of(Fixtures::record('north'), Fixtures::latitude('north'), 0.8));
    }

    public function test_months_are_summed_and_those_with_too_many_gaps_left_out(): void
    {
        // March: 10, 20, 30 and 40 mm on its first day, half a millimeter on its second. April 2002 lacks four of thirty days, 2003 three.
        $months = $this->sheet(static fn (int $year, int $month, int $day): ?float => match (true) {
            $month === 3 && $day === 1 => 10.0 * ($year - 2000),
            $month === 3 && $day === 2 => 0.5,
            $month === 4 && $day === 9 => 1.0,
            $month === 4 && ($year === 2002 && $day <= 4 || $year === 2003 && $day <= 3) => null,
            default => 0.0,
        })['months'];
        self::assertCount(12, $months);
        self::assertSame(
            ['month' => 3, 'years' => 4, 'mean' => 25.5, 'low' => 10.5, 'middle' => 25.5, 'high' => 40.5, 'wet_days' => 1.0],
            $months[2],
        );
        self::assertSame([3, 1.0, 1.0], [$months[3]['years'], $months[3]['mean'], $months[3]['wet_days']]);
        self::assertSame([4, 0.0], [$months[4]['years'], $months[4]['high']]);
    }

    public function test_a_day_of_the_year_that_never_has_rain_on_record_adds_none_to_its_week(): void
    {
        // Nothing is known of any January 3; the other six days of the first week have a millimeter each.
        $weeks = $this->sheet(static fn (int $year, int $month, int $day): ?float => match (true) {
            $month === 1 && $day === 3 => null,
            $month === 1 && $day <= 7 => 1.0,
            default => 0.0,
        })['weeks'];
        self::assertSame(6.0, $weeks[0]['rain']);
    }

    public function test_weeks_begin_with_the_ruler_and_hold_mean_days(): void
    {
        // Two millimeters on every eighth of January, one on every second of July, and that one only in two of four years.
        $rain = static fn (int $year, int $month, int $day): ?float => match (true) {
            $month === 1 && $day === 8 => 2.0,
            $month === 7 && $day === 2 => $year < 2003 ? 1.0 : 0.0,
            default => 0.0,
        };
        $weeks = $this->sheet($rain)['weeks'];
        self::assertCount(52, $weeks);
        self::assertSame(['01-01', 0.0], [$weeks[0]['first'], $weeks[0]['rain']]);
        self::assertSame(['01-08', 2.0], [$weeks[1]['first'], $weeks[1]['rain']]);
        self::assertSame(['07-02', 0.5], [$weeks[26]['first'], $weeks[26]['rain']]);
        $june = array_values(array_filter($weeks, static fn (array $week): bool => $week['first'] === '06-18'))[0];
        self::assertEqualsWithDelta(28.5, $june['et0'], 0.5, 'a week of 4.1 mm a day');
        self::assertEqualsWithDelta(7.5, $weeks[0]['et0'], 0.5);
        $south = $this->sheet($rain, -45.0)['weeks'];
        self::assertSame(['07-01', 0.5], [$south[0]['first'], $south[0]['rain']]);
    }

    public function test_a_day_has_the_week_that_holds_it(): void
    {
        $weeks = array_map(static fn (int $i): array => ['first' => '', 'rain' => 1.0 * $i, 'et0' => 0.5], range(0, 51));
        $of = static fn (YearDay $start, YearDay $day): float => RainSheet::week(['weeks' => $weeks], $start, $day)['rain'];
        $january = YearDay::of(1, 1);
        self::assertSame([0.0, 0.0, 1.0], [$of($january, $january), $of($january, YearDay::of(1, 7)), $of($january, YearDay::of(1, 8))]);
        self::assertSame([51.0, 51.0], [$of($january, YearDay::of(12, 30)), $of($january, YearDay::of(12, 31))]);
        self::assertSame(26.0, $of(YearDay::of(7, 1), YearDay::of(1, 3)));
    }

    public function test_the_longest_dry_spell_of_each_season(): void
    {
        // It rains every fifth day, just enough to count; in 2003 May is dry but for a trace that does not.
        $spells = $this->sheet(static fn (int $year, int $month, int $day): float => match (true) {
            $year === 2003 && $month === 5 => 0.9,
            $day % 5 === 1 => 1.0,
            default => 0.0,
        })['dry_spells'];
        self::assertSame([[12, 1, 2], [3, 4, 5], [6, 7, 8], [9, 10, 11]], array_column($spells, 'months'));
        // The winter of 2005 has only December; that of 2001 lacks one: 31 of 90 days are too many.
        self::assertSame([3, 4, 4, 4], array_column($spells, 'years'));
        self::assertSame([4, 4, 4], [$spells[2]['one_in_2'], $spells[2]['one_in_5'], $spells[2]['one_in_10']]);
        // April 26 to 30 and all of May 2003: 35 days; the others 4: one year in five passes that.
        self::assertSame([4, 35, 35], [$spells[1]['one_in_2'], $spells[1]['one_in_5'], $spells[1]['one_in_10']]);
        $south = $this->sheet(static fn (): float => 0.0, -45.0)['dry_spells'];
        self::assertSame([[6, 7, 8], [9, 10, 11], [12, 1, 2], [3, 4, 5]], array_column($south, 'months'));
        self::assertSame([92, 91], array_slice(array_column($south, 'one_in_2'), 0, 2), 'all days of a season, where no rain falls');
    }

    public function test_first_workable_days_and_shares_are_those_of_each_ground(): void
    {
        $record = Fixtures::record('north-rain');
        $latitude = Fixtures::latitude('north');
        $sheet = RainSheet::of($record, $latitude, 0.8);
        self::assertNotNull($sheet);
        self::assertSame(Ground::names(), array_column($sheet['grounds'], 'ground'));
        $loam = $sheet['grounds'][2];
        $of = Workable::of(WaterDays::of($record, $latitude), Ground::named('loam'));
        self::assertSame(array_map(static fn ($day) => $day?->iso(), $of->first($latitude)), $loam['years']);
        self::assertEquals(Fixtures::json('water-north.json')['grounds']['loam']['first_workable'], $loam['years']);
        self::assertCount(365, $loam['share']);
        // Of 20 years: a tenth between January 13 and 25, nine tenths between April 5 and 7.
        self::assertSame(['01-14', '04-07'], [$loam['early'], $loam['late']]);
        self::assertLessThanOrEqual($loam['late'], $loam['middle']);
        self::assertLessThanOrEqual($loam['late'], $loam['at_standard']);
        self::assertGreaterThan(20.0, $sheet['snow_days']);
        // In a drought ground can be worked from the first day on, but for the first year: a record begins with wet ground. Where it pours
        // every day it never can.
        $dry = $this->sheet(static fn (): float => 0.0)['grounds'][2];
        self::assertSame(['01-01', '01-04'], [$dry['early'], $dry['at_standard']]);
        $wet = $this->sheet(static fn (): float => 30.0)['grounds'][2];
        self::assertSame([null, null, 0.0], [$wet['early'], $wet['at_standard'], $wet['share'][180]]);
    }

    public function test_snow_that_lies_is_counted_by_the_year(): void
    {
        self::assertSame(0.0, $this->sheet(static fn (): float => 0.0)['snow_days']);
        // Half of four years below freezing, with snow every day; then a summer that melts it within the day.
        $cold = array_merge(array_fill(0, 730, -5.0), array_fill(0, 731, 60.0));
        $record = new DailyRecord(Day::of(2001, 1, 1), $cold, $cold, array_fill(0, 1461, 1.0));
        $days = RainSheet::of($record, Latitude::of(45.0), 0.8)['snow_days'] ?? self::fail('it has snow');
        self::assertGreaterThanOrEqual(182.5, $days);
        self::assertLessThan(185.0, $days);
    }
}
