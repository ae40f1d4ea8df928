<?php

declare(strict_types=1);

namespace Anthesis\Tests\Indicator;

use Anthesis\Indicator\Cue;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Season\Member;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class CueTest extends TestCase
{
    /** A record of years that are all the same: no warmth until April, then so many degrees above 5 °C each day. */
    private static function plain(int $years, float $warm = 4.0): DailyRecord
    {
        $first = Day::fromIso('2001-01-01');
        $means = [];
        for ($i = 0; $i < 365 * $years + intdiv($years, 4); $i++) {
            $means[] = $first->plus($i)->yearDay()->number >= 91 ? 5.0 + $warm : 1.0;
        }

        return new DailyRecord(
            $first,
            array_map(static fn (float $m): float => $m - 5, $means),
            array_map(static fn (float $m): float => $m + 5, $means),
        );
    }

    public function test_warmth_since_midwinter_and_the_soil_of_seven_days_by_hand(): void
    {
        $record = self::plain(4);
        $days = array_map(Day::fromIso(...), ['2001-04-10', '2002-04-12', '2003-04-20']);
        $cue = Cue::of($record, Latitude::of(46.8), Site::openGround(), $days);
        // April 1 is the first day that counts, with 4 °C d; the day of the sighting is the last.
        self::assertEqualsWithDelta([40.0, 48.0, 80.0], array_column($cue->sightings ?? [], 'sum'), 1e-9);
        self::assertEqualsWithDelta([48.0, 8.0], [$cue?->sum, $cue?->sumDeviation], 1e-9, 'deviations 8, 0, 32');
        $soil = SoilTemperature::of($record, Latitude::of(46.8), Site::openGround())->dailyMean;
        $at = $days[0]->number - $record->first->number;
        self::assertEqualsWithDelta(array_sum(array_slice($soil, $at - 6, 7)) / 7, $cue->sightings[0]['soil'] ?? null, 1e-12);
        self::assertTrue($cue?->isUsed());
        self::assertTrue($cue->opens($cue->soil - $cue->soilDeviation));
        self::assertFalse($cue->opens($cue->soil - $cue->soilDeviation + 0.01));
    }

    public function test_of_fewer_than_three_years_it_is_told_and_nothing_leans_on_it(): void
    {
        $cue = Cue::of(self::plain(3), Latitude::of(46.8), Site::openGround(), [
            Day::fromIso('2001-05-10'),
            Day::fromIso('2002-05-12'),
        ]);
        self::assertCount(2, $cue->sightings ?? []);
        self::assertFalse($cue?->isUsed());
        self::assertFalse($cue->opens(-50.0));
    }

    public function test_sightings_without_the_weather_behind_them_are_left_out(): void
    {
        $record = self::plain(2);
        $of = static fn (string ...$days): ?Cue => Cue::of(
            $record,
            Latitude::of(46.8),
            Site::openGround(),
            array_values(array_map(Day::fromIso(...), $days)),
        );
        self::assertNull($of());
        self::assertNull($of('2000-12-31', '2003-05-01'));
        self::assertCount(1, $of('2001-01-07', '2001-01-06')->sightings ?? [], 'seven days of soil');
        self::assertCount(1, $of('2002-12-31')->sightings ?? [], 'the last day of the record');
        $broken = new DailyRecord($record->first, array_replace($record->minimum, array_fill(20, 15, null)), $record->maximum);
        self::assertNull(
            Cue::of($broken, Latitude::of(46.8), Site::openGround(), [Day::fromIso('2001-04-10')]),
            'a gap too long to bridge',
        );
        $short = new DailyRecord($record->first, array_replace($record->minimum, array_fill(20, 5, null)), $record->maximum);
        self::assertCount(
            1,
            Cue::of($short, Latitude::of(46.8), Site::openGround(), [Day::fromIso('2001-04-10')])->sightings ?? [],
        );
        $southern = Cue::of($record, Latitude::of(-38.0), Site::openGround(), [Day::fromIso('2002-04-10')]);
        // Midwinter is July 1: the warmth of the months since counts.
        self::assertGreaterThan(4.0 * 150, $southern?->sum);
    }

    public function test_when_it_is_due_this_year_is_the_day_each_member_has_had_the_warmth(): void
    {
        $cue = Cue::of(
            self::plain(4),
            Latitude::of(46.8),
            Site::openGround(),
            array_map(Day::fromIso(...), ['2001-04-10', '2002-04-10', '2003-04-10']),
        );
        self::assertEqualsWithDelta(40.0, $cue?->sum, 1e-9);
        $member = static fn (float $warm): Member => new Member(
            2001,
            new DailyRecord(Day::fromIso('2004-01-01'), self::plain(1, $warm)->minimum, self::plain(1, $warm)->maximum),
        );
        $expected = static fn (float ...$warm): array => array_map(
            static fn (?Day $d): ?string => $d?->iso(),
            $cue->expected(array_values(array_map($member, $warm)), Day::fromIso('2004-03-01')),
        );
        // 2004 is a leap year, so the year's 91st day is March 31: ten days of 4 °C d, five of 8, twenty of 2.
        self::assertSame(['2004-04-04', '2004-04-09', '2004-04-19'], $expected(2.0, 4.0, 8.0, 4.0, 4.0));
        self::assertSame([null, null, null], $expected(0.0, 0.0), 'where it is never so warm it is not in sight');
    }

    public function test_a_plant_that_follows_the_soil_is_stronger_than_the_calendar(): void
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $soil = SoilTemperature::of($record, $latitude, Site::openGround())->dailyMean;
        $follows = $fixed = [];
        for ($year = 2000; $year < 2012; $year++) {
            $start = Day::of($year, 3, 1)->number - $record->first->number;
            for ($i = $start; $i < $start + 120 && $soil[$i] < 8.0; $i++);
            $follows[] = $record->first->plus($i + 2);
            $fixed[] = Day::of($year, 4, 25);
        }
        $cue = Cue::of($record, $latitude, Site::openGround(), $follows);
        self::assertGreaterThan(1.2, $cue?->strength);
        self::assertEqualsWithDelta(
            1.0,
            Cue::of($record, $latitude, Site::openGround(), $fixed)?->strength,
            0.06,
            'a date is no better than itself',
        );
    }

    public function test_it_is_due_by_the_ninth_of_ten_members_and_by_the_warmth_of_this_year_alone(): void
    {
        $cue = Cue::of(
            self::plain(4),
            Latitude::of(46.8),
            Site::openGround(),
            array_map(Day::fromIso(...), ['2001-04-10', '2002-04-10', '2003-04-10']),
        );
        $member = static fn (string $first, int $years, float $warm): Member => new Member(
            2001,
            new DailyRecord(Day::fromIso($first), self::plain($years, $warm)->minimum, self::plain($years, $warm)->maximum),
        );
        $expected = static fn (Member ...$members): array => array_map(
            static fn (?Day $d): ?string => $d?->iso(),
            $cue?->expected(array_values($members), Day::fromIso('2004-03-01')) ?? [],
        );
        // Eleven on April 9 and one ten days later: the 11.7th of twelve lies seven days after the eleventh.
        $twelve = [...array_fill(0, 11, $member('2004-01-01', 1, 4.0)), $member('2004-01-01', 1, 2.0)];
        self::assertSame(['2004-04-09', '2004-04-09', '2004-04-16'], $expected(...$twelve));
        // Ten days of 3.95 °C d are not yet forty.
        self::assertSame('2004-04-10', $expected($member('2004-01-01', 1, 3.95), $member('2004-01-01', 1, 3.95))[1]);
        // Warm from the first day on, which counts.
        $warm = new Member(2001, new DailyRecord(Day::fromIso('2004-01-01'), array_fill(0, 300, 4.0), array_fill(0, 300, 14.0)));
        self::assertSame('2004-01-10', $expected($warm, $warm)[1]);
        // The year before was warm too; 2003 has its 91st day on April 1, and 2004 on March 31.
        self::assertSame('2004-04-09', $expected($member('2003-01-01', 2, 4.0), $member('2003-01-01', 2, 4.0))[1]);
    }

    public function test_a_sighting_the_day_after_the_records_end_is_left_out(): void
    {
        self::assertNull(Cue::of(self::plain(2), Latitude::of(46.8), Site::openGround(), [Day::fromIso('2003-01-01')]));
    }

    public function test_a_median_date_the_day_after_the_records_end_has_no_soil(): void
    {
        $record = Fixtures::record('north')->between(Day::fromIso('2001-01-01'), Day::fromIso('2002-04-12'));
        $cue = Cue::of($record, Fixtures::latitude('north'), Site::openGround(), [
            Day::fromIso('2001-04-14'),
            Day::fromIso('2002-04-12'),
        ]);
        self::assertCount(2, $cue->sightings ?? []);
        self::assertSame(0.0, $cue?->strength, 'of one year there is no spread');
    }

    public function test_the_median_date_of_an_even_number_of_sightings_is_the_earlier_of_the_two_in_the_middle(): void
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $soil = SoilTemperature::of($record, $latitude, Site::openGround())->dailyMean;
        $week = static fn (string $day): float => array_sum(
            array_slice($soil, Day::fromIso($day)->number - $record->first->number - 6, 7),
        ) / 7;
        $cue = Cue::of($record, $latitude, Site::openGround(), [Day::fromIso('2001-04-20'), Day::fromIso('2002-04-21')]);
        $spread = static fn (float $a, float $b): float => abs($a - $b) / 2;
        self::assertEqualsWithDelta(
            $spread($week('2001-04-20'), $week('2002-04-20')) / $spread($week('2001-04-20'), $week('2002-04-21')),
            $cue?->strength,
            1e-9,
        );
    }
}
