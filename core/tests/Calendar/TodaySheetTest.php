<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\TodaySheet;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Crop\Variety;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Season\AdvisoryGround;
use Anthesis\Season\FreezeToCome;
use Anthesis\Season\NightWork;
use Anthesis\Season\Outside;
use Anthesis\Season\RecordAlone;
use Anthesis\Season\SeasonPosition;
use Anthesis\Season\SoilReady;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilDate;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\School\FromReplay;
use PHPUnit\Framework\TestCase;

/**
 * @phpstan-import-type Sheet from TodaySheet
 * @phpstan-import-type SeasonAct from TodaySheet
 */
final class TodaySheetTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    private function record(string $last): DailyRecord
    {
        $record = Fixtures::record('north');

        return $record->between($record->first, Day::fromIso($last));
    }

    private function school(): FromReplay
    {
        $latitude = Fixtures::latitude('north');

        return new FromReplay(new Replay(Fixtures::record('north'), $latitude, Site::openGround()), $latitude->yearStart(), 'open ground');
    }

    private function season(string $last): ThisSeason
    {
        return ThisSeason::of($this->record($last), null, Fixtures::latitude('north'), Site::openGround());
    }

    /**
     * @param  list<string>  $crops
     * @param  array<string, list<Variety>>  $varieties
     * @return Sheet
     */
    private function today(string $last, array $crops, array $varieties = []): array
    {
        return TodaySheet::ofSeason(
            $this->season($last),
            $this->record($last),
            $this->school(),
            array_map($this->crop(...), $crops),
            $varieties,
            Site::covers(),
            0.8,
        );
    }

    /**
     * @param  Sheet  $sheet
     * @return SeasonAct
     */
    private function act(array $sheet, string $crop, string $act): array
    {
        foreach ($sheet['acts'] as $one) {
            if ($one['crop'] === $crop && $one['act'] === $act) {
                return $one;
            }
        }
        self::fail("no {$crop} to {$act}");
    }

    public function test_the_season_is_told_by_its_soil_its_freezes_and_how_far_it_is(): void
    {
        $sheet = $this->today('2012-04-17', ['radish']);
        $season = $this->season('2012-04-17');
        self::assertSame(['2012-04-18', 'season', 0.8], [$sheet['on'], $sheet['by'], $sheet['standard']]);
        self::assertSame(array_map(static fn ($m): int => $m->year, $season->members), $sheet['members']);
        $soil = SoilTemperature::of($this->record('2012-04-17'), Fixtures::latitude('north'), Site::openGround());
        $told = $sheet['soil'] ?? self::fail('no soil');
        self::assertSame(
            [21, 84, 63, 63, 63],
            array_map(count(...), [$told['line'], $told['usual'], $told['low'], $told['middle'], $told['high']]),
        );
        self::assertEqualsWithDelta($soil->dailyMean[count($soil->dailyMean) - 1], $told['line'][20], 0.051);
        self::assertEqualsWithDelta(
            $soil->normals()->values[Day::of(2012, 4, 18)->yearDay()->number - 1],
            $told['usual'][21],
            0.051,
            'the usual begins as far back as the line',
        );
        $day = array_column($season->soil(Day::of(2012, 4, 28), 1), 0);
        sort($day);
        self::assertEqualsWithDelta($day[intdiv(count($day), 2)], $told['middle'][10], count($day) % 2 === 1 ? 0.051 : 1.5);
        self::assertSame([5.0, 7.0, 10.0, 15.0, 18.0], array_column($told['ready'], 'celsius'));
        $ready = SoilReady::at(10.0, $season->soil(Day::of(2012, 4, 13), 154), Day::of(2012, 4, 18));
        self::assertSame(array_map(static fn (?Day $d): ?string => $d?->iso(), $ready->dates), $told['ready'][2]['dates']);
        $position = SeasonPosition::of($this->record('2012-04-17'), $soil->dailyMean, Fixtures::latitude('north'));
        self::assertSame(
            [round($position->degreeDays, 1), $position->daysAhead],
            [$sheet['position']['degree_days'] ?? null, $sheet['position']['days_ahead'] ?? null],
        );
        self::assertEqualsWithDelta($position->soilAbove, $sheet['position']['soil_above'] ?? null, 0.051);
        self::assertSame(146.6, $this->today('2012-05-02', [])['position']['degree_days'] ?? null, '146.55, to one decimal');
    }

    public function test_the_coming_nights_and_what_there_is_to_tell_stand_beside_it(): void
    {
        $crops = ['radish', 'carrot', 'tomato-main'];
        foreach (['2012-04-09', '2012-04-17', '2012-05-02'] as $last) {
            $sheet = $this->today($last, $crops);
            $season = $this->season($last);
            $outside = Outside::on($season->today, array_map($this->crop(...), $crops), $this->school(), 0.8);
            $work = NightWork::of($season, $outside, Site::covers());
            self::assertSame(
                array_map(
                    static fn (array $n): array => [$n['day']->iso(), $n['members'], $n['of'], round($n['celsius'], 1)],
                    $work->nights,
                ),
                array_map(static fn (array $n): array => array_values($n), $sheet['nights']['expected'] ?? [null]),
            );
            self::assertSame(
                array_map(
                    static fn (array $t): array => [$t['out']->crop->slug, $t['out']->stage->value, $t['out']->killC(), $t['cover']?->name],
                    $work->tender,
                ),
                array_map(
                    static fn (array $t): array => [$t['crop'], $t['stage'], $t['kills'], $t['cover']],
                    $sheet['nights']['tender'] ?? [null],
                ),
            );
            // Soil since January 1, and the usual dates of the soils that are waited for.
            $soil = SoilTemperature::of($this->record($last), Fixtures::latitude('north'), Site::openGround());
            $ready = array_map(
                static fn (float $c): SoilReady => SoilReady::at($c, $season->soil($season->today->plus(-5), 155), $season->today),
                [5.0, 7.0, 10.0, 15.0, 18.0],
            );
            $grounds = AdvisoryGround::of(
                $season,
                $ready,
                SoilDate::all($soil, Fixtures::latitude('north'), [5.0, 7.0, 10.0, 15.0, 18.0]),
                array_slice($soil->dailyMean, Day::of(2012, 1, 1)->number - $soil->first->number),
                $work,
                $outside,
            );
            self::assertSame(
                array_map(static fn (AdvisoryGround $g): array => [$g->key, $g->says->key, $g->until->iso()], $grounds),
                array_map(static fn (array $g): array => [$g['key'], $g['says']['key'], $g['until']], $sheet['grounds']),
            );
        }
    }

    public function test_freezes_are_to_come_before_midsummer_and_have_come_after_it(): void
    {
        $spring = $this->today('2012-04-17', [])['freezes'] ?? self::fail('no freezes');
        $season = $this->season('2012-04-17');
        self::assertSame(
            ['to-come', count($season->members), ['light-freeze', 'killing-freeze'], [0.0, -2.2]],
            [
                $spring['side'],
                $spring['of'],
                array_column($spring['thresholds'], 'threshold'),
                array_column($spring['thresholds'], 'celsius'),
            ],
        );
        self::assertSame(
            FreezeToCome::before($season->members, 0.0, Day::of(2012, 4, 28), Fixtures::latitude('north')),
            $spring['thresholds'][0]['members'][10],
        );
        self::assertCount(63, $spring['thresholds'][1]['members']);
        $autumn = $this->today('2012-09-19', [])['freezes'] ?? self::fail('no freezes');
        $season = $this->season('2012-09-19');
        self::assertSame('has-come', $autumn['side']);
        self::assertSame(
            FreezeToCome::by($season->members, 0.0, Day::of(2012, 9, 30), Fixtures::latitude('north')),
            $autumn['thresholds'][0]['members'][10],
        );
        // Over summer solstice nothing is to come any more.
        $june = $this->today('2012-06-19', [])['freezes'] ?? self::fail('no freezes');
        self::assertSame(['to-come', 0], [$june['side'], $june['thresholds'][0]['members'][20]]);
        self::assertSame('to-come', $this->today('2012-06-29', [])['freezes']['side'] ?? null);
        self::assertSame('has-come', $this->today('2012-07-01', [])['freezes']['side'] ?? null);
    }

    public function test_an_act_is_told_with_its_ribbon_its_harvest_and_what_most_are_lost_to(): void
    {
        $sheet = $this->today('2012-04-17', ['radish', 'bush-bean', 'tomato-main']);
        $radish = $this->act($sheet, 'radish', 'sow-outdoors');
        $sowing = $this->season('2012-04-17')->sowing($this->crop('radish'), Route::Direct, Day::of(2012, 4, 18));
        $first = $sowing->firstHarvests() ?? self::fail('no harvest');
        self::assertSame(
            [$sowing->of(Outcome::Harvest), $sowing->count(), $sowing->loss()?->value],
            [$radish['harvests'], $radish['of'], $radish['reason']],
        );
        self::assertSame(array_map(static fn (Day $d): string => $d->iso(), $first), $radish['first']);
        $later = $this->season('2012-04-17')->sowing($this->crop('radish'), Route::Direct, Day::of(2012, 4, 25))->firstHarvests();
        self::assertSame($later[1]->iso() ?? null, $radish['first_a_week_on']);
        self::assertSame($radish['harvests'] - (int) ceil(0.8 * $radish['of'] - 1e-9), $radish['margin']);
        self::assertSame(
            [$this->crop('radish')->convention->soilMinSowC, $this->crop('tomato-main')->convention->soilMinSetOutC],
            [$radish['soil_min'], $this->act($sheet, 'tomato-main', 'set-out')['soil_min']],
        );
        self::assertSame([63, 63], [count($radish['totals']), count($radish['open'])]);
        foreach ($radish['totals'] as $day => $total) {
            self::assertSame($total, array_sum(array_column($radish['ribbon'], $day)));
            self::assertSame($radish['ribbon']['harvest'][$day] >= 0.8 * $total - 1e-9, $radish['open'][$day]);
        }
        foreach ($radish['ribbon'] as $outcome => $days) {
            self::assertGreaterThan(0, max($days), "{$outcome} occurs");
        }
        $bean = $this->act($sheet, 'bush-bean', 'sow-outdoors');
        self::assertSame('hold', $bean['pile']);
        $then = $this->season('2012-04-17')->sowing($this->crop('bush-bean'), Route::Direct, Day::fromIso($bean['until'] ?? ''));
        self::assertSame($then->of(Outcome::Harvest), $bean['harvests_then']);
        self::assertSame([true, false], [$radish['frost_tolerant'], $bean['frost_tolerant']]);
        $cover = $this->act($sheet, 'tomato-main', 'start-under-cover');
        self::assertSame($this->crop('tomato-main')->underCover->weeks?->days(), $cover['set_out_after']);
        self::assertSame(0, $this->act($sheet, 'tomato-main', 'set-out')['set_out_after']);
    }

    public function test_what_is_over_names_the_records_next_window(): void
    {
        $sheet = $this->today('2012-04-17', ['garlic-hardneck', 'radish']);
        $garlic = $this->act($sheet, 'garlic-hardneck', 'plant');
        $windows = $this->school()->of($this->crop('garlic-hardneck'), Route::Direct)->windows(0.8);
        self::assertSame(['over', $windows[0]->first->iso()], [$garlic['pile'], $garlic['next']['first'] ?? null]);
        self::assertNull($this->act($sheet, 'radish', 'sow-outdoors')['next']);
    }

    public function test_varieties_that_still_fit_are_told_from_those_that_do_not(): void
    {
        $carrot = $this->crop('carrot');
        $varieties = [
            'carrot' => [new Variety('Quick', ['quick'], $carrot->maturingIn(50)), new Variety('Slow', [], $carrot->maturingIn(140))],
        ];
        $act = $this->act($this->today('2012-07-24', ['carrot'], $varieties), 'carrot', 'sow-outdoors');
        self::assertSame(
            [['Quick', 50.0, ['quick'], true], ['Slow', 140.0, [], false]],
            array_map(static fn (array $v): array => [$v['name'], $v['days'], $v['tags'], $v['fits']], $act['varieties']),
        );
        self::assertGreaterThan($act['varieties'][1]['harvests'], $act['varieties'][0]['harvests']);
    }

    public function test_another_date_has_the_records_word_alone(): void
    {
        $school = $this->school();
        $sheet = TodaySheet::ofRecord(new RecordAlone($school), $school, [$this->crop('radish')], [], Day::of(2012, 9, 20), 0.8, [
            1999,
            2000,
        ]);
        self::assertSame(
            ['2012-09-20', 'record', [1999, 2000], null, null, null],
            [$sheet['on'], $sheet['by'], $sheet['members'], $sheet['position'], $sheet['soil'], $sheet['freezes']],
        );
        $ribbon = $school->of($this->crop('radish'), Route::Direct)->ribbon;
        self::assertSame($ribbon->yearsOf(Day::of(2012, 9, 20)->yearDay(), Outcome::Harvest), $sheet['acts'][0]['harvests']);
    }
}
