<?php

declare(strict_types=1);

namespace Anthesis\Tests\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Season\FreezeToCome;
use Anthesis\Season\Member;
use Anthesis\Season\OutlookRefused;
use Anthesis\Season\Pile;
use Anthesis\Season\RecordAlone;
use Anthesis\Season\SeasonLack;
use Anthesis\Season\SeasonPosition;
use Anthesis\Season\SoilReady;
use Anthesis\Season\SortedActs;
use Anthesis\Season\Sowing;
use Anthesis\Season\Splice;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\School\FromReplay;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SeasonTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @param  array<string, array{float|null, float|null}>  $but  by date */
    private function record(string $first, string $last, array $but = []): DailyRecord
    {
        $minimum = $maximum = [];
        for ($day = Day::fromIso($first); $day->number <= Day::fromIso($last)->number; $day = $day->plus(1)) {
            // Each year has a mean of its own, so that it can be told from the others.
            [$minimum[], $maximum[]] = $but[$day->iso()] ?? [(float) ($day->year() - 2000), (float) ($day->year() - 1990)];
        }

        return new DailyRecord(Day::fromIso($first), $minimum, $maximum);
    }

    public function test_a_member_is_the_last_four_hundred_days_then_a_past_years_four_hundred_and_eighty(): void
    {
        $members = Splice::members($this->record('2001-01-01', '2008-03-31'), null);
        self::assertSame([2001, 2002, 2003, 2004, 2005, 2006], array_map(static fn (Member $m): int => $m->year, $members));
        $record = $members[2]->record;
        self::assertSame(['2007-02-26', 880], [$record->first->iso(), $record->days()]);
        // April 1, 2003 goes on from March 31, 2008, and January 1, 2004 comes after 275 days.
        self::assertSame(
            [8.0, 3.0, 3.0, 4.0],
            [$record->minimum[399], $record->minimum[400], $record->minimum[674], $record->minimum[675]],
        );
    }

    /** The last of the 480 days may be the record's last, and the first its first. */
    #[TestWith(['2001-04-01', '2007-03-31', [2001, 2002, 2003, 2004, 2005]])]
    #[TestWith(['2001-04-02', '2007-03-31', [2002, 2003, 2004, 2005]])]
    public function test_a_year_takes_part_when_all_its_days_are_on_record(string $first, string $last, array $years): void
    {
        self::assertSame(
            $years,
            array_map(static fn (Member $m): int => $m->year, Splice::members($this->record($first, $last), null)),
        );
        $exact = $this->record('2001-04-01', '2002-07-24');
        self::assertSame(480, $exact->days());
        self::assertSame([], Splice::members($exact, null), 'it would go on from 25 July');
        self::assertSame([], Splice::onDay($exact, $exact->first, 2001), 'nothing is on record before its first day');
        self::assertNotSame([], Splice::onDay($this->record('2001-01-01', '2008-03-31'), Day::of(2001, 1, 2), 2001));
    }

    public function test_a_gap_of_ten_days_is_bridged_and_one_of_eleven_leaves_the_year_out(): void
    {
        $gap = static function (int $days): array {
            $but = [];
            for ($i = 0; $i < $days; $i++) {
                $but[Day::fromIso('2003-06-01')->plus($i)->iso()] = [null, 20.0];
            }

            return $but;
        };
        $years = fn (int $days): array => array_map(
            static fn (Member $m): int => $m->year,
            Splice::members($this->record('2001-01-01', '2008-03-31', $gap($days)), null),
        );
        self::assertSame([2001, 2002, 2003, 2004, 2005, 2006], $years(10));
        self::assertSame([2001, 2004, 2005, 2006], $years(11), 'the 480 days of 2002 hold it too');
    }

    public function test_a_member_goes_on_from_february_28_where_today_is_the_29th(): void
    {
        $record = $this->record('2001-01-01', '2008-02-28', ['2003-02-28' => [-7.0, 7.0], '2003-03-01' => [-6.0, 6.0]]);
        $member = Splice::members($record, null)[2];
        self::assertSame([2003, -7.0, -6.0], [$member->year, $member->record->minimum[400], $member->record->minimum[401]]);
        // Only that day of that month: March 29 goes on from March 29.
        $spring = $this->record('2001-01-01', '2008-03-28', ['2003-03-28' => [-7.0, 7.0], '2003-03-29' => [-6.0, 6.0]]);
        self::assertSame(-6.0, Splice::members($spring, null)[2]->record->minimum[400]);
    }

    public function test_a_season_needs_a_record_that_ended_ten_days_ago_at_most(): void
    {
        $record = KnownRecord::of($this->record('2001-01-01', '2008-03-31'));
        $place = new Place($record, $record, Latitude::of(46.0), LightSchool::Radiation, [Site::openGround()], CropBook::none());
        $lacks = static fn (string $today): ?SeasonLack => ThisSeason::lacks($place->inSeason(Day::fromIso($today), null));
        self::assertNull($lacks('2008-04-11'), 'ten days are missing');
        self::assertSame(SeasonLack::RecordEnds, $lacks('2008-04-12'));
        self::assertSame([null, SeasonLack::RecordIsShort], [$lacks('2002-02-05'), $lacks('2002-02-04')], '400 days, and 399');
    }

    public function test_the_outlook_comes_between_and_must_go_on_where_the_record_ends(): void
    {
        $record = $this->record('2001-01-01', '2008-02-25');
        $outlook = new DailyRecord(Day::of(2008, 2, 26), [50.0, 51.0, 52.0], [60.0, 61.0, 62.0]);
        $member = Splice::members($record, $outlook)[0];
        // It ends on February 28 of a leap year: members go on from the 28th, for February 29 is none in them.
        self::assertSame(
            [52.0, 2001, 1.0, 883],
            [$member->record->minimum[402], $member->year, $member->record->minimum[403], $member->record->days()],
        );
        $this->expectException(OutlookRefused::class);
        Splice::members($record, new DailyRecord(Day::of(2008, 2, 27), [0.0], [1.0]));
    }

    public function test_sowings_of_many_days_are_those_of_each_day(): void
    {
        $record = Fixtures::record('north');
        $season = ThisSeason::of(
            $record->between($record->first, Day::of(2012, 4, 17)),
            null,
            Fixtures::latitude('north'),
            Site::openGround(),
        );
        $many = $season->sowings($this->crop('radish'), Route::Direct, Day::of(2012, 4, 10), 20);
        foreach ([0, 7, 8, 19] as $i) {
            self::assertEquals($season->sowing($this->crop('radish'), Route::Direct, Day::of(2012, 4, 10)->plus($i)), $many[$i]);
        }
        self::assertSame('2012-04-18', $season->today->iso());
        $sowing = $many[8];
        self::assertSame($sowing->count(), array_sum(array_map($sowing->of(...), Outcome::cases())));
        [$early, $usual, $late] = $sowing->firstHarvests() ?? self::fail('no harvest');
        self::assertTrue(
            $early->number <= $usual->number && $usual->number <= $late->number && $early->number > $sowing->on->number + 20,
        );
        self::assertEqualsWithDelta($sowing->of(Outcome::Harvest) / $sowing->count(), $sowing->share(), 1e-12);
    }

    public function test_soil_is_ready_on_the_first_of_five_warm_days_running(): void
    {
        $today = Day::of(2026, 4, 18);
        $soil = static fn (int $warmFrom, int $before = 0): array => [
            ...array_fill(0, 5 - $before, 8.0),
            ...array_fill(0, $before, 12.0),
            ...array_fill(0, $warmFrom, $before === 5 ? 12.0 : 8.0),
            ...array_fill(0, 30, 12.0),
        ];
        $ready = SoilReady::at(10.0, [2001 => $soil(9), 2002 => $soil(0), 2003 => $soil(3)], $today);
        self::assertFalse($ready->now);
        self::assertSame(
            ['2026-04-18', '2026-04-21', '2026-04-27'],
            array_map(static fn (?Day $d): ?string => $d?->iso(), $ready->dates),
        );
        self::assertTrue(SoilReady::at(12.0, [2001 => $soil(0, 5)], $today)->now, 'at the temperature is warm enough');
        self::assertFalse(SoilReady::at(12.1, [2001 => $soil(0, 5)], $today)->now);
        self::assertSame(
            '2026-04-18',
            SoilReady::at(10.0, [2001 => $soil(0, 3)], $today)->dates[1]?->iso(),
            'warm days before today do not count towards the five',
        );
        self::assertSame([null, null, null], SoilReady::at(20.0, [2001 => $soil(0)], $today)->dates);
        // Of nineteen the second, the tenth and the eighteenth.
        $many = SoilReady::at(10.0, array_map(static fn (int $day): array => $soil($day), [...range(10, 18), ...range(0, 9)]), $today);
        self::assertSame(
            ['2026-04-19', '2026-04-27', '2026-05-05'],
            array_map(static fn (?Day $d): ?string => $d?->iso(), $many->dates),
        );
        // Four days are none; the fifth makes it.
        $broken = [...array_fill(0, 5, 8.0), 12.0, 12.0, 12.0, 12.0, 9.9, 12.0, 12.0, 12.0, 12.0, 12.0];
        self::assertSame('2026-04-23', SoilReady::at(10.0, [2001 => $broken], $today)->dates[1]?->iso());
        // It stays the first five, whatever comes after them.
        $again = [...array_fill(0, 6, 8.0), ...array_fill(0, 6, 12.0), 8.0, 8.0, ...array_fill(0, 9, 12.0)];
        self::assertSame('2026-04-19', SoilReady::at(10.0, [2001 => $again], $today)->dates[1]?->iso());
    }

    public function test_a_freeze_to_come_is_one_before_midsummer_and_one_that_has_come_is_of_autumn(): void
    {
        $first = Day::of(2026, 1, 1);
        $member = static function (string $freeze) use ($first): Member {
            $minimum = array_fill(0, 400, 8.0);
            $minimum[Day::fromIso($freeze)->number - $first->number] = -1.0;

            return new Member(2001, new DailyRecord($first, $minimum, array_fill(0, 400, 18.0)));
        };
        $members = array_map($member, ['2026-04-17', '2026-04-18', '2026-06-30', '2026-07-01', '2026-10-10']);
        [$north, $south] = [Latitude::of(46.0), Latitude::of(-38.0)];
        self::assertSame(2, FreezeToCome::before($members, 0.0, Day::of(2026, 4, 18), $north));
        self::assertSame(2, FreezeToCome::before($members, -1.0, Day::of(2026, 4, 18), $north), 'at the threshold is a freeze');
        self::assertSame(0, FreezeToCome::before($members, -1.1, Day::of(2026, 4, 18), $north));
        self::assertSame(
            [1, 2],
            [
                FreezeToCome::by($members, 0.0, Day::of(2026, 10, 9), $north),
                FreezeToCome::by($members, 0.0, Day::of(2026, 10, 10), $north),
            ],
        );
        $longAgo = new Member(
            2001,
            new DailyRecord(Day::of(2024, 10, 1), [-5.0, ...array_fill(0, 700, 8.0)], array_fill(0, 701, 18.0)),
        );
        self::assertSame(
            0,
            FreezeToCome::by([$longAgo], 0.0, Day::of(2026, 4, 18), $north),
            'the autumn before last has no part in it',
        );
        self::assertSame(
            4,
            FreezeToCome::before($members, 0.0, Day::of(2026, 4, 18), $south),
            'south of the equator midsummer is in January',
        );
    }

    public function test_a_freeze_on_the_first_day_a_member_has_is_one(): void
    {
        $member = new Member(
            2001,
            new DailyRecord(Day::of(2026, 4, 18), [-1.0, ...array_fill(0, 400, 8.0)], array_fill(0, 401, 18.0)),
        );
        self::assertSame(1, FreezeToCome::before([$member], 0.0, Day::of(2026, 4, 18), Latitude::of(46.0)));
    }

    /** An outlook of most of a year, which none is, brings a member to the record's very last day. */
    public function test_a_member_may_end_on_the_records_last_day(): void
    {
        $record = $this->record('2001-01-01', '2003-06-30');
        $outlook = static fn (int $days): DailyRecord => new DailyRecord(
            Day::of(2003, 7, 1),
            array_fill(0, $days, 1.0),
            array_fill(0, $days, 9.0),
        );
        $years = static fn (int $days): array => array_map(
            static fn (Member $m): int => $m->year,
            Splice::members($record, $outlook($days)),
        );
        // It goes on from March 8: 480 days from March 8, 2002 on end on June 30, 2003.
        self::assertSame([2001, 2002], $years(251));
        self::assertSame([2001], $years(252));
    }

    public function test_in_the_south_warmth_is_counted_from_the_july_before(): void
    {
        // July 1, 2025 to April 17, 2026 are 291 days of 5 degree-days each.
        $position = SeasonPosition::of($this->steadyYears(0.0, '2026-04-17'), [], Latitude::of(-38.0));
        self::assertEqualsWithDelta(291 * 5.0, $position->degreeDays, 1e-6);
        self::assertSame(0, $position->daysAhead);
    }

    public function test_a_season_two_degrees_warmer_than_others_is_ahead(): void
    {
        $record = $this->steadyYears(2.0, '2026-04-17');
        $soil = SoilTemperature::of($record, Latitude::of(46.0), new Site('flat', 0, 0, 1, 0));
        $position = SeasonPosition::of($record, $soil->dailyMean, Latitude::of(46.0));
        // Others gather 5 degree-days a day, this one 7: 107 days of 7 are 149.8 of 5.
        self::assertEqualsWithDelta(749.0, $position->degreeDays, 1e-6);
        self::assertSame(149 - 106, $position->daysAhead);
        self::assertEqualsWithDelta(2.0, $position->soilAbove, 0.01);
        self::assertEqualsWithDelta(12.0, $position->soil, 0.01);
        $behind = SeasonPosition::of($this->steadyYears(-2.0, '2026-04-17'), [], Latitude::of(46.0));
        self::assertSame([64 - 106, null, null], [$behind->daysAhead, $behind->soil, $behind->soilAbove]);
    }

    /** Where the record has just begun, the days there are make the week; later it is seven. */
    public function test_soil_is_the_mean_of_the_last_seven_days_that_are_known(): void
    {
        $of = static fn (int $days, float ...$soil): ?float => SeasonPosition::of(
            new DailyRecord(Day::of(2026, 1, 1), array_fill(0, $days, 1.0), array_fill(0, $days, 9.0)),
            array_values($soil),
            Latitude::of(46.0),
        )->soil;
        self::assertSame(3.0, $of(3, 1.0, 2.0, 6.0));
        self::assertSame(6.0, $of(9, 50.0, 50.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0));
        self::assertSame(4.0, $of(7, 1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0));
    }

    /** A year with a long gap in its minima or in its maxima is held against no other. */
    public function test_a_year_that_is_not_on_record_is_none_to_be_ahead_of(): void
    {
        $whole = $this->steadyYears(2.0, '2026-04-17');
        foreach (['minimum', 'maximum'] as $element) {
            $values = ['minimum' => $whole->minimum, 'maximum' => $whole->maximum];
            for ($i = 30; $i < 60; $i++) {
                $values[$element][$i] = null;
            }
            // The warm year 2020 has a gap; without it the others are as they were.
            for ($i = 60; $i < 366; $i++) {
                $values['maximum'][$i] = 40.0;
            }
            $record = new DailyRecord($whole->first, $values['minimum'], $values['maximum']);
            self::assertSame(149 - 106, SeasonPosition::of($record, [], Latitude::of(46.0))->daysAhead, $element);
        }
    }

    public function test_a_sowing_without_members_has_no_share_and_no_harvest(): void
    {
        $none = new Sowing(Day::of(2026, 4, 18), []);
        self::assertSame([0.0, 0, null, null], [$none->share(), $none->count(), $none->loss(), $none->firstHarvests()]);
    }

    /** Every year the same mean of 10 °C, but the last. */
    private function steadyYears(float $warmer, string $last): DailyRecord
    {
        $minimum = $maximum = [];
        $first = Day::of(2020, 1, 1);
        for ($day = $first; $day->number <= Day::fromIso($last)->number; $day = $day->plus(1)) {
            $more = $day->year() === 2026 ? $warmer : 0.0;
            $minimum[] = 5.0 + $more;
            $maximum[] = 15.0 + $more;
        }

        return new DailyRecord($first, $minimum, $maximum);
    }

    public function test_acts_are_sorted_into_piles_the_quickest_first_and_a_start_under_cover_is_judged_by_setting_out(): void
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $season = ThisSeason::of($record->between($record->first, Day::of(2012, 4, 17)), null, $latitude, Site::openGround());
        $acts = SortedActs::of(
            [$this->crop('tomato-main'), $this->crop('radish'), $this->crop('carrot'), $this->crop('broccoli')],
            $season,
            $season->today,
            0.8,
        );
        $order = array_map(static fn (Pile $p): string => $p->value, Pile::cases());
        $piles = array_map(static fn (SortedActs $a): int => (int) array_search($a->verdict->pile->value, $order, true), $acts);
        $sorted = $piles;
        sort($sorted);
        self::assertSame($sorted, $piles);
        for ($i = 1; $i < count($acts); $i++) {
            if ($piles[$i] === $piles[$i - 1]) {
                self::assertLessThanOrEqual(
                    $acts[$i]->daysToHarvest() ?? PHP_INT_MAX,
                    $acts[$i - 1]->daysToHarvest() ?? PHP_INT_MAX,
                );
            }
        }
        $tomato = array_values(array_filter($acts, static fn (SortedActs $a): bool => $a->crop->slug === 'tomato-main'));
        self::assertEqualsCanonicalizing(
            ['set-out', 'start-under-cover'],
            array_map(static fn (SortedActs $a): string => $a->act->value, $tomato),
        );
        self::assertSame(
            ['sow-outdoors'],
            array_map(
                static fn (SortedActs $a): string => $a->act->value,
                array_values(array_filter($acts, static fn (SortedActs $a): bool => $a->crop->slug === 'radish')),
            ),
            'what is sown in place is not started indoors',
        );
        $cover = array_values(array_filter($tomato, static fn (SortedActs $a): bool => $a->setOutAfter > 0))[0];
        $then = $season->sowing($this->crop('tomato-main'), Route::Transplant, $season->today->plus($cover->setOutAfter));
        self::assertSame(
            [$then->share(), $then->of(Outcome::Harvest), $then->count()],
            [$cover->prospects->shares[0], $cover->prospects->harvests(), $cover->prospects->count()],
        );
    }

    public function test_for_another_date_the_record_alone_tells(): void
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $school = new FromReplay(
            new Replay($record, $latitude, Site::openGround(), LightSchool::Radiation),
            $latitude->yearStart(),
            'open ground',
        );
        $prospects = (new RecordAlone($school))->prospects($this->crop('radish'), Route::Direct, Day::of(2027, 12, 20), 61);
        $ribbon = $school->of($this->crop('radish'), Route::Direct)->ribbon;
        self::assertSame(
            [$ribbon->reliability[353], $ribbon->reliability[0]],
            [$prospects->shares[0], $prospects->shares[12]],
            'over the new year',
        );
        self::assertSame($ribbon->reason(Day::of(2027, 12, 20)->yearDay()), $prospects->loss());
        self::assertCount(61, $prospects->shares);
        self::assertEquals($prospects->shares[10], $prospects->after(10)->shares[0]);
        $wait = $ribbon->daysToHarvest(Day::of(2027, 12, 20)->yearDay()->plus(120)) ?? self::fail('radish is picked in spring');
        $spring = (new RecordAlone($school))->prospects($this->crop('radish'), Route::Direct, Day::of(2027, 12, 20), 121);
        self::assertSame([$wait[0], $wait[1], $wait[2]], $spring->waits[120], 'the first day of harvest, and not the last');
    }
}
