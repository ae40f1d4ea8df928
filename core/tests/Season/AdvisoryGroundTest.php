<?php

declare(strict_types=1);

namespace Anthesis\Tests\Season;

use Anthesis\Crop\Crop;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Replay;
use Anthesis\Season\AdvisoryGround;
use Anthesis\Season\NightWork;
use Anthesis\Season\Outside;
use Anthesis\Season\SoilReady;
use Anthesis\Season\Stage;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilDate;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;
use PHPUnit\Framework\TestCase;

/** What an evening before a freeze asks for, and what this season gives reason to tell. */
final class AdvisoryGroundTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /**
     * A season on April 1, 2008 with six members, 2001 to 2006, of 5 to 15 °C but on some days.
     *
     * @param  array<string, array{float, float|null}>  $but  by date
     */
    private function season(array $but, ?Site $site = null): ThisSeason
    {
        $minimum = $maximum = [];
        $last = Day::fromIso('2008-03-31');
        for ($day = Day::fromIso('2001-01-01'); $day->number <= $last->number; $day = $day->plus(1)) {
            [$minimum[], $maximum[]] = $but[$day->iso()] ?? [5.0, 15.0];
        }

        return ThisSeason::of(
            new DailyRecord(Day::fromIso('2001-01-01'), $minimum, $maximum),
            null,
            Latitude::of(46.0),
            $site ?? Site::openGround(),
        );
    }

    /** @return array<string, array{float, float}> so many members have the minima, from the first on */
    private function nights(string $monthDay, float ...$minima): array
    {
        $nights = [];
        foreach (array_values($minima) as $i => $minimum) {
            $nights[2001 + $i."-{$monthDay}"] = [$minimum, 15.0];
        }

        return $nights;
    }

    public function test_a_night_is_expected_to_freeze_where_half_the_members_do(): void
    {
        $work = NightWork::of(
            $this->season(
                $this->nights('04-02', -1.0, -3.0, 0.0) +
                    $this->nights('04-03', -1.0, -3.0) +
                    $this->nights('04-04', -4.0, -4.0, -4.0, -4.0),
            ),
            [],
            [],
        );
        self::assertSame(['2008-04-02', '2008-04-04'], array_map(static fn (array $n): string => $n['day']->iso(), $work->nights));
        self::assertSame([3, 6, 2.5], [$work->nights[0]['members'], $work->nights[0]['of'], $work->nights[0]['celsius']]);
        self::assertSame([4, 6, -4.0], [$work->nights[1]['members'], $work->nights[1]['of'], $work->nights[1]['celsius']]);
    }

    public function test_this_morning_and_the_fourth_night_are_none_of_this_evenings_work(): void
    {
        self::assertSame(
            [],
            NightWork::of(
                $this->season(
                    $this->nights('04-01', ...array_fill(0, 6, -9.0)) + $this->nights('04-05', ...array_fill(0, 6, -9.0)),
                ),
                [],
                [],
            )->nights,
        );
    }

    public function test_a_site_that_keeps_off_the_cold_is_judged_by_what_is_left_of_it(): void
    {
        $nights = $this->nights('04-02', ...array_fill(0, 6, -3.0));
        self::assertSame(-3.0, NightWork::of($this->season($nights), [], [])->nights[0]['celsius']);
        // A row cover: 1 °C by its air and 1.5 more against freezing.
        self::assertSame(-0.5, NightWork::of($this->season($nights, Site::named('row cover')), [], [])->nights[0]['celsius']);
        self::assertSame([], NightWork::of($this->season($nights, Site::named('low tunnel')), [], [])->nights);
    }

    public function test_what_would_not_stand_it_is_named_with_the_least_cover_that_keeps_it(): void
    {
        $season = $this->season(
            $this->nights('04-03', ...array_fill(0, 6, -3.0)) + $this->nights('04-04', ...array_fill(0, 6, -1.0)),
        );
        $tomato = $this->crop('tomato-main');
        $kale = $this->crop('kale');
        $outside = [
            new Outside($tomato, Stage::Young, 0),
            new Outside($kale, Stage::Grown, 0),
            new Outside($this->crop('garlic-hardneck'), Stage::Young, 0),
        ];
        $tender = NightWork::of($season, $outside, Site::covers())->tender;
        self::assertSame(
            ['tomato-main'],
            array_map(static fn (array $t): string => $t['out']->crop->slug, $tender),
            'kale stands it, and garlic sits in the ground',
        );
        // −3 °C, and a young tomato dies at 0: a row cover leaves −0.5, a low tunnel 2.
        self::assertSame([0.0, 'low tunnel'], [$tomato->hardiness->killYoungC, $tender[0]['cover']?->name]);
        self::assertNull(NightWork::of($season, [$outside[0]], [Site::named('row cover')])->tender[0]['cover']);
        $exactly = $this->season($this->nights('04-03', ...array_fill(0, 6, -2.5)));
        self::assertSame(
            'low tunnel',
            NightWork::of($exactly, [$outside[0]], Site::covers())->tender[0]['cover']?->name,
            'a row cover leaves 0, which kills',
        );
        self::assertSame(
            'cold frame',
            NightWork::of($season, [$outside[0]], [Site::named('row cover'), Site::named('cold frame')])->tender[0]['cover']?->name,
        );
        // In a row cover already, the coldest night is −0.5 °C there, and a low tunnel is still what it takes.
        $covered = NightWork::of(
            $this->season($this->nights('04-03', ...array_fill(0, 6, -3.0)), Site::named('row cover')),
            [$outside[0]],
            Site::covers(),
        );
        self::assertSame([-0.5, 'low tunnel'], [$covered->nights[0]['celsius'], $covered->tender[0]['cover']?->name]);
    }

    public function test_young_plants_are_judged_by_what_kills_them_young(): void
    {
        $kale = $this->crop('kale');
        self::assertSame(
            [$kale->hardiness->killYoungC, $kale->hardiness->killYoungC, $kale->hardiness->killC],
            [
                (new Outside($kale, Stage::Young, 0))->killC(),
                (new Outside($kale, Stage::UnderCover, 0))->killC(),
                (new Outside($kale, Stage::Grown, 0))->killC(),
            ],
        );
        self::assertNotSame($kale->hardiness->killYoungC, $kale->hardiness->killC);
    }

    public function test_what_may_be_out_follows_from_the_records_windows(): void
    {
        $replay = new FromReplay(
            new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()),
            Fixtures::latitude('north')->yearStart(),
            'open ground',
        );
        $crops = [$this->crop('bush-bean'), $this->crop('tomato-main')];
        $windows = $replay->of($crops[0], $crops[0]->routes[0])->windows(0.8);
        $last = $windows[0]->last;
        $on = static fn (Day $day): array => array_column(
            array_map(
                static fn (Outside $o): array => [$o->crop->slug, [$o->stage->value, $o->sinceAct]],
                Outside::on($day, $crops, $replay, 0.8),
            ),
            1,
            0,
        );
        $day = Day::of(2011, ...$last->monthAndDay());
        self::assertSame(['young', 0], $on($day)['bush-bean']);
        self::assertSame(['young', 1], $on($day->plus(1))['bush-bean']);
        self::assertSame(['young', 59], $on($day->plus(59))['bush-bean']);
        self::assertSame('grown', $on($day->plus(60))['bush-bean'][0] ?? null, 'still in harvest');
        self::assertArrayNotHasKey('bush-bean', $on(Day::of(2011, 1, 15)));
        // Tomatoes are under cover for at most their longest time before the first day of transplanting.
        $out = $replay->of($crops[1], $crops[1]->routes[0])->windows(0.8)[0]->first;
        $weeks = (int) ($crops[1]->underCover->weeks?->most * 7);
        $first = Day::of(2011, ...$out->monthAndDay());
        self::assertSame('under-cover', $on($first->plus(-$weeks))['tomato-main'][0] ?? null);
        self::assertArrayNotHasKey('tomato-main', $on($first->plus(-$weeks - 1)));
        self::assertSame(['young', 0], $on($first)['tomato-main']);
    }

    /** @return list<AdvisoryGround> */
    private function grounds(ThisSeason $season, Outside ...$outside): array
    {
        return AdvisoryGround::of(
            $season,
            [],
            [],
            [],
            NightWork::of($season, array_values($outside), Site::covers()),
            array_values($outside),
        );
    }

    public function test_a_freeze_is_told_where_something_tender_may_be_out(): void
    {
        $season = $this->season(
            $this->nights('04-02', ...array_fill(0, 6, -1.0)) + $this->nights('04-04', ...array_fill(0, 6, -3.0)),
        );
        self::assertSame([], $this->grounds($season, new Outside($this->crop('kale'), Stage::Grown, 0)));
        [$freeze] = $this->grounds($season, new Outside($this->crop('tomato-main'), Stage::Young, 0));
        self::assertSame(
            ['freeze', 'advisory.draft.freeze', '2008-04-04'],
            [$freeze->key, $freeze->says->key, $freeze->until->iso()],
        );
        self::assertSame(['day' => 2, 'month' => 4], $freeze->says->toArray()['with']['day']['with'] ?? null);
        self::assertSame(-3.0, $freeze->says->toArray()['with']['celsius']['with']['celsius'] ?? null, 'the coldest of them');
        self::assertSame(
            ['advisory.evidence.night', 'advisory.evidence.night', 'advisory.evidence.tender'],
            array_column($freeze->evidence, 'key'),
        );
    }

    public function test_three_hot_days_running_are_told_where_seedlings_would_suffer(): void
    {
        $heat = [];
        foreach (range(2001, 2006) as $year) {
            foreach (['04-05' => 31.0, '04-06' => 33.0, '04-07' => 30.0] as $day => $maximum) {
                $heat["{$year}-{$day}"] = [12.0, $maximum];
            }
        }
        $spinach = $this->crop('spinach');
        self::assertLessThanOrEqual(30.0, $spinach->heat->maximumC);
        [$told] = $this->grounds($this->season($heat), new Outside($spinach, Stage::Young, 20));
        self::assertSame(['heat', '2008-04-07'], [$told->key, $told->until->iso()]);
        self::assertSame(
            [['day' => 5, 'month' => 4], 30.0],
            [
                $told->says->toArray()['with']['day']['with'] ?? null,
                $told->says->toArray()['with']['celsius']['with']['celsius'] ?? null,
            ],
        );
        self::assertSame(
            [],
            $this->grounds($this->season($heat), new Outside($spinach, Stage::Young, 21)),
            'a seedling for three weeks',
        );
        self::assertSame([], $this->grounds($this->season($heat), new Outside($spinach, Stage::Grown, 0)));
        self::assertSame(
            [],
            $this->grounds($this->season($heat), new Outside($this->crop('okra'), Stage::Young, 0)),
            'it likes the heat',
        );
        // A cool day between them, and it is no spell; nor beyond the seventh day.
        self::assertSame(
            [],
            $this->grounds(
                $this->season(array_filter($heat, static fn (string $d): bool => ! str_ends_with($d, '04-06'), ARRAY_FILTER_USE_KEY)),
                new Outside($spinach, Stage::Young, 0),
            ),
        );
        $later = array_combine(
            array_map(static fn (string $d): string => Day::fromIso($d)->plus(1)->iso(), array_keys($heat)),
            $heat,
        );
        self::assertSame([], $this->grounds($this->season($later), new Outside($spinach, Stage::Young, 0)));
    }

    /** @return list<AdvisoryGround> of the soil at 8 °C, where the usual day is given */
    private function soilGrounds(float $celsius, int $warmFrom): array
    {
        // Soil follows the air within days: warm from so many days after today on, or before it.
        $but = [];
        foreach (range(2001, 2008) as $year) {
            for ($i = $warmFrom; $i < 60; $i++) {
                $day = Day::of($year, 4, 1)->plus($i);
                $but[$day->iso()] = [12.0, 22.0];
            }
        }
        // The usual: warm from April 15 on, told by a record of its own.
        $usual = $this->season(array_filter($but, static fn (): bool => false));
        $minimum = $maximum = [];
        for ($day = Day::fromIso('2001-01-01'); $day->number <= Day::fromIso('2007-12-31')->number; $day = $day->plus(1)) {
            $warm = $day->yearDay()->number >= 105 && $day->yearDay()->number < 250;
            [$minimum[], $maximum[]] = $warm ? [12.0, 22.0] : [-5.0, 5.0];
        }
        $record = new DailyRecord(Day::fromIso('2001-01-01'), $minimum, $maximum);
        $normal = SoilDate::all(SoilTemperature::of($record, $usual->latitude, Site::openGround()), $usual->latitude, [$celsius]);
        $season = $this->season($but);
        $soil = $season->soil($season->today->plus(-SoilReady::DAYS_RUNNING), SoilReady::DAYS_RUNNING + ThisSeason::AHEAD);

        return AdvisoryGround::of(
            $season,
            [SoilReady::at($celsius, $soil, $season->today)],
            $normal,
            [],
            NightWork::of($season, [], []),
            [],
        );
    }

    public function test_soil_a_week_apart_from_the_usual_is_told_and_less_is_not(): void
    {
        [$early] = $this->soilGrounds(15.0, 3);
        self::assertSame(['soil-15', 'advisory.draft.soil-early'], [$early->key, $early->says->key]);
        self::assertGreaterThanOrEqual(7, $early->says->with['days']);
        self::assertSame(['advisory.evidence.soil-range', 'advisory.evidence.soil-usual'], array_column($early->evidence, 'key'));
        self::assertSame([], $this->soilGrounds(15.0, 13), 'two days are no news');
        [$now] = $this->soilGrounds(15.0, -12);
        self::assertSame(['advisory.draft.soil-now', '2008-04-08'], [$now->says->key, $now->until->iso()]);
        // Warm only from 40 days on: that is not spoken of yet.
        self::assertSame([], $this->soilGrounds(15.0, 40));
    }

    public function test_soil_that_comes_late_is_told(): void
    {
        $usual = [];
        foreach ($this->soilGrounds(15.0, 22) as $ground) {
            $usual[] = $ground;
        }
        self::assertSame([], $usual, 'beyond three weeks');
        $season = $this->season([]);
        $late = [
            SoilReady::at(10.0, array_fill(2001, 6, [...array_fill(0, 5 + 18, 8.0), ...array_fill(0, 30, 11.0)]), $season->today),
        ];
        $minimum = array_fill(0, 365 * 6, 5.0);
        $record = new DailyRecord(Day::of(2001, 1, 1), $minimum, array_fill(0, 365 * 6, 25.0));
        $normal = SoilDate::all(SoilTemperature::of($record, $season->latitude, Site::openGround()), $season->latitude, [10.0]);
        [$told] = AdvisoryGround::of($season, $late, $normal, [], NightWork::of($season, [], []), []);
        self::assertSame(['advisory.draft.soil-late', '2008-04-19'], [$told->says->key, $told->until->iso()]);
        // What it held for five days before a cold spell is a setback, and not late.
        $nights = NightWork::of($season, [], []);
        self::assertCount(
            1,
            AdvisoryGround::of($season, $late, $normal, [12.0, 12.0, 12.0, 12.0, 9.9, 12.0, null, 12.0], $nights, []),
        );
        self::assertSame([], AdvisoryGround::of($season, $late, $normal, [0.0, 10.0, 10.0, 10.0, 10.0, 10.0, 1.0], $nights, []));
        // With the days between which the years expect it.
        $spread = array_map(static fn (int $days): array => [...array_fill(0, 5 + $days, 8.0), ...array_fill(0, 30, 11.0)], range(13, 18));
        $ready = SoilReady::at(10.0, array_combine(range(2001, 2006), $spread), $season->today);
        [$told] = AdvisoryGround::of($season, [$ready], $normal, [], $nights, []);
        $with = $told->evidence[0]->with;
        $said = static fn (?Day $day): ?Phrase => $day === null ? null : Phrase::day($day->yearDay());
        self::assertEquals(array_map($said, $ready->dates), [$with['early'], $with['day'], $with['late']]);
        self::assertNotEquals($with['early'], $with['day']);
        self::assertNotEquals($with['late'], $with['day']);
        // Of several the coldest is told.
        $two = [
            SoilReady::at(8.5, array_fill(2001, 6, [...array_fill(0, 5 + 12, 8.0), ...array_fill(0, 30, 11.0)]), $season->today),
            ...$late,
        ];
        self::assertSame(
            ['soil-8'],
            array_map(
                static fn (AdvisoryGround $g): string => $g->key,
                AdvisoryGround::of($season, $two, [$normal[0], $normal[0]], [], $nights, []),
            ),
        );
        // One that is not to be expected keeps no other from being told.
        $never = SoilReady::at(20.0, array_fill(2001, 6, array_fill(0, 53, 8.0)), $season->today);
        [$other] = AdvisoryGround::of($season, [$never, ...$late], [$normal[0], $normal[0]], [], $nights, []);
        self::assertSame('soil-10', $other->key);
    }

    /** @return list<AdvisoryGround> of soil that is warm on April 1, where it usually is so many days later */
    private function warmNow(int $daysEarly): array
    {
        $season = $this->season([]);
        $ready = SoilReady::at(15.0, array_fill(2001, 6, array_fill(0, 5 + 30, 16.0)), $season->today);
        self::assertTrue($ready->now);
        $usual = $season->today->plus($daysEarly)->yearDay()->iso();
        // A record warm from a day on that makes the soil reach it then.
        for ($from = 60; $from < 140; $from++) {
            $minimum = $maximum = [];
            for ($day = Day::fromIso('2001-01-01'); $day->number <= Day::fromIso('2003-12-31')->number; $day = $day->plus(1)) {
                $warm = $day->yearDay()->number >= $from && $day->yearDay()->number < 250;
                [$minimum[], $maximum[]] = $warm ? [12.0, 22.0] : [-5.0, 5.0];
            }
            $normal = SoilDate::all(
                SoilTemperature::of(
                    new DailyRecord(Day::fromIso('2001-01-01'), $minimum, $maximum),
                    $season->latitude,
                    Site::openGround(),
                ),
                $season->latitude,
                [15.0],
            );
            if ($normal[0]->oneYearInTwo?->iso() === $usual) {
                return AdvisoryGround::of($season, [$ready], $normal, [], NightWork::of($season, [], []), []);
            }
        }
        self::fail("nothing is warm on {$usual}");
    }

    public function test_soil_that_is_warm_a_week_early_is_news_and_six_days_early_is_none(): void
    {
        self::assertSame(
            ['advisory.draft.soil-now'],
            array_map(static fn (AdvisoryGround $g): string => $g->says->key, $this->warmNow(7)),
        );
        self::assertSame([], $this->warmNow(6));
    }

    public function test_days_of_which_nobody_knows_the_heat_are_no_heat(): void
    {
        $unknown = [];
        foreach (range(2001, 2006) as $year) {
            foreach (range(1, 7) as $day) {
                $unknown["{$year}-04-0{$day}"] = [12.0, null];
            }
        }
        self::assertSame([], $this->grounds($this->season($unknown), new Outside($this->crop('spinach'), Stage::Young, 0)));
    }
}
