<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Run;
use Anthesis\Replay\SeasonTables;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowFinder;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ReplayTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @return DailyRecord two years of the same mild day, from January 1, 2001 */
    private function steady(float $minimum, float $maximum, int $days = 730): DailyRecord
    {
        return new DailyRecord(Day::of(2001, 1, 1), array_fill(0, $days, $minimum), array_fill(0, $days, $maximum));
    }

    private function first(
        DailyRecord $record,
        string $slug,
        Route $route = Route::Direct,
        LightSchool $light = LightSchool::None,
        float $latitude = 0.0,
    ): Run {
        return (new Replay($record, Latitude::of($latitude), new Site('flat', 0, 0, 1, 0), $light))
            ->runs($this->crop($slug), $route)
            ->all()[0];
    }

    public function test_in_steady_weather_at_which_packet_days_hold_a_crop_takes_its_packet_days(): void
    {
        // Radish: 26 days from sowing at a mean of 16 °C; 5.6 of them to come up in soil of 18, here 7 (6.4 rounded up) in soil of 16.
        $run = $this->first($this->steady(11, 21), 'radish');
        self::assertSame(Outcome::Harvest, $run->outcome);
        self::assertEqualsWithDelta(27, $run->daysToHarvest, 1);
        self::assertSame(10, $run->harvestDays, 'the harvest lasts as the table says');
        self::assertGreaterThan(3, $run->up?->number - $run->sown->number);
    }

    public function test_ten_hour_school_stops_growth_where_days_are_short_and_radiation_slows_it(): void
    {
        $record = $this->steady(11, 21);
        $days = fn (LightSchool $light): ?int => $this->first($record, 'kale', Route::Transplant, $light, 52.0)->daysToHarvest;
        self::assertGreaterThan($days(LightSchool::None), $days(LightSchool::Radiation));
        // On January 1 at 52° N nothing grows for seven weeks: a plant set out sits and is stunted.
        self::assertSame(Outcome::Stunted, $this->first($record, 'kale', Route::Transplant, LightSchool::TenHour, 52.0)->outcome);
    }

    public function test_what_freezes_kills_the_young_first_and_the_grown_later(): void
    {
        $record = $this->steady(11, 21);
        $frozen = static function (int $day, float $to) use ($record): DailyRecord {
            $minimum = $record->minimum;
            $minimum[$day] = $to;

            return new DailyRecord($record->first, array_values($minimum), $record->maximum);
        };
        self::assertSame(
            [Outcome::FreezeYoung, '2001-01-25'],
            [$this->first($frozen(24, -20), 'bush-bean')->outcome, $this->first($frozen(24, -20), 'bush-bean')->ended->iso()],
        );
        self::assertSame(Outcome::FreezeLate, $this->first($frozen(70, -20), 'bush-bean')->outcome);
        self::assertNotSame(
            Outcome::FreezeYoung,
            $this->first($frozen(1, -20), 'bush-bean')->outcome,
            'seed in the ground does not freeze',
        );
    }

    public function test_seed_in_cold_soil_rots_and_in_hot_soil_too(): void
    {
        self::assertSame(Outcome::NoEmergenceCold, $this->first($this->steady(1, 5), 'bush-bean')->outcome);
        self::assertSame(Outcome::NoEmergenceHot, $this->first($this->steady(38, 46), 'lettuce-leaf')->outcome);
        self::assertNull($this->first($this->steady(1, 5), 'bush-bean')->up);
    }

    public function test_onions_that_never_see_their_day_length_do_not_bulb(): void
    {
        $runs = (new Replay($this->steady(11, 21, 1100), Latitude::of(5.0), Site::openGround()))
            ->runs($this->crop('onion-long-day'), Route::Transplant)
            ->all();
        self::assertSame(
            ['day-length'],
            array_values(array_unique(array_map(static fn (Run $r): string => $r->outcome->value, $runs))),
        );
    }

    public function test_a_bulb_without_a_juvenile_time_is_full_sized_whenever_it_starts(): void
    {
        $parameters = ['juvenile' => 0] + Fixtures::json('replay-north.json')[8]['parameters'];
        $runs = (new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()))->runs(
            CropParameters::fromJson((string) json_encode($parameters)),
            Route::Direct,
        );
        $outcomes = array_unique(array_map(static fn (Run $r): string => $r->outcome->value, $runs->all()));
        self::assertContains('harvest', $outcomes);
    }

    public function test_seasons_are_picked_by_sow_day_and_by_what_came_of_them(): void
    {
        $replay = new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround());
        $runs = $replay->runs($this->crop('radish'), Route::Direct);
        $sown = static fn (array $some): array => array_map(static fn (Run $run): string => $run->sown->iso(), $some);
        $harvested = array_filter($runs->all(80), static fn (Run $run): bool => $run->outcome === Outcome::Harvest);
        self::assertNotEmpty($harvested);
        self::assertLessThan(count($runs->all(80)), count($harvested));
        self::assertSame($sown(array_values($harvested)), $sown($runs->all(80, Outcome::Harvest)));
        self::assertCount(
            count($runs->all()),
            array_merge(...array_map(static fn (Outcome $outcome): array => $runs->all(null, $outcome), Outcome::cases())),
        );
        self::assertSame([], $runs->all(366, Outcome::Harvest));
    }

    #[TestWith(['radish', 'direct'])]
    #[TestWith(['cabbage-early', 'transplant'])]
    #[TestWith(['garlic-hardneck', 'direct'])]
    public function test_days_between_two_turn_out_as_among_all(string $slug, string $route): void
    {
        $replay = new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround());
        $told = static fn (array $runs): array => array_column(
            array_map(static fn (Run $r): array => [$r->sown->number, $r->outcome, $r->daysToHarvest, $r->harvestDays], $runs),
            null,
            0,
        );
        $crop = $this->crop($slug);
        $all = $told($replay->runs($crop, Route::from($route))->all());
        $first = Fixtures::record('north')->first->number;
        self::assertSame(
            array_filter($all, static fn (int $day): bool => $day >= $first + 700 && $day <= $first + 790, ARRAY_FILTER_USE_KEY),
            $told($replay->runs($crop, Route::from($route), 700, 790)->all()),
        );
    }

    public function test_no_run_with_a_long_gap_before_its_horizon_counts_and_short_gaps_are_bridged(): void
    {
        $record = $this->steady(11, 21, 900);
        $gap = static function (int $days) use ($record): DailyRecord {
            $minimum = $record->minimum;
            for ($i = 400; $i < 400 + $days; $i++) {
                $minimum[$i] = null;
            }

            return new DailyRecord($record->first, array_values($minimum), $record->maximum);
        };
        $sown = fn (DailyRecord $r): array => array_map(
            static fn (Run $run): string => $run->sown->iso(),
            (new Replay($r, Latitude::of(0.0), Site::openGround()))->runs($this->crop('radish'), Route::Direct)->all(),
        );
        self::assertSame($sown($record), $sown($gap(10)));
        $left = $sown($gap(11));
        self::assertContains('2001-01-01', $left);
        self::assertNotContains('2002-01-01', $left, 'its 330 days run into the gap');
        self::assertContains('2002-02-16', $left, 'the day after the gap');
    }

    #[TestWith([0.8])]
    #[TestWith([0.5])]
    public function test_a_northern_record_moved_half_a_year_and_south_gives_the_same_windows_half_a_year_later(float $share): void
    {
        $north = Fixtures::record('north');
        $replays = [
            [new Replay($north, Latitude::of(46.8), Site::openGround()), YearDay::of(1, 1)],
            [
                new Replay(
                    new DailyRecord($north->first->plus(182), $north->minimum, $north->maximum),
                    Latitude::of(-46.8),
                    Site::openGround(),
                ),
                YearDay::of(7, 1),
            ],
        ];
        $off = [];
        $windows = 0;
        foreach (Fixtures::crops()->crops as $crop) {
            foreach ($crop->routes as $route) {
                [$here, $there] = array_map(
                    static fn (array $r): array => WindowFinder::runs(
                        array_map(
                            static fn (float $v): bool => $v >= $share - 1e-9,
                            OutcomeRibbon::of($r[0]->runs($crop, $route))->reliability,
                        ),
                        $r[1],
                        5,
                    ),
                    $replays,
                );
                $windows += count($here);
                if (! $this->withinDays($here, $there, 5)) {
                    $off[] =
                        $crop->bulb === null && $crop->bolting->dayHours === null
                            ? "{$crop->slug} {$route->value}"
                            : 'bound to a length of day';
                }
            }
        }
        // The earth's orbit is not quite symmetric: southern days reach a length some days off, and what hangs on it follows; and
        // the light of a southern winter is a little less, which rye, in the ground through all of it, may notice; and lettuce in its heat.
        self::assertSame([], array_values(array_diff($off, ['bound to a length of day', 'cover-rye direct', 'lettuce-leaf direct'])));
        self::assertLessThanOrEqual(5, count($off));
        self::assertGreaterThan(90, $windows);
    }

    /**
     * @param  list<SowingWindow>  $here
     * @param  list<SowingWindow>  $there
     */
    private function withinDays(array $here, array $there, int $days): bool
    {
        foreach ($here as $i => $window) {
            foreach ([[$window->first, $there[$i]->first ?? null], [$window->last, $there[$i]->last ?? null]] as [$a, $b]) {
                if ($b === null || min($a->plus(182)->daysUntil($b), $b->daysUntil($a->plus(182))) > $days) {
                    return false;
                }
            }
        }

        return count($here) === count($there);
    }

    public function test_the_ribbon_gathers_runs_by_sow_day_and_names_the_reason(): void
    {
        $runs = (new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()))->runs(
            $this->crop('bush-bean'),
            Route::Direct,
        );
        $ribbon = OutcomeRibbon::of($runs);
        self::assertSame($ribbon->reliability, OutcomeRibbon::reliabilityOf($runs));
        foreach ([1, 59, 140, 300] as $day) {
            $outcomes = array_count_values(array_map(static fn (Run $r): string => $r->outcome->value, $runs->all($day)));
            self::assertSame(array_sum($outcomes), $ribbon->years[$day - 1]);
            self::assertSame($outcomes['harvest'] ?? 0, $ribbon->counts[$day - 1][1] ?? 0);
        }
        self::assertGreaterThan($ribbon->years[140], $ribbon->years[58], '29 February counts as the 28th');
        self::assertSame(Outcome::GroundFrozen, $ribbon->reason(YearDay::of(2, 1)));
        [$early, $usual, $late] = $ribbon->daysToHarvest(YearDay::fromNumber(150)) ?? [0, 0, 0];
        self::assertTrue($early > 40 && $early <= $usual && $usual <= $late);
        self::assertSame(13, $ribbon->yearsOnRecord());
        self::assertNull($ribbon->harvestSpan(YearDay::of(1, 10), 3), 'no bean was ever picked from frozen ground');
    }

    public function test_sites_that_share_tables_turn_out_as_each_alone(): void
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $replay = new Replay($record, $latitude, Site::named('open ground'));
        // Growth, freezes of the air and of the soil, bulbing, chill, hot days, and nights that set fruit.
        $crops = array_map($this->crop(...), ['tomato-main', 'garlic-hardneck', 'onion-long-day', 'daikon', 'jerusalem-artichoke']);
        foreach (['straw mulch', 'sun-facing wall', 'row cover', 'raised bed', 'shade cloth', 'cold frame', 'open ground'] as $name) {
            [$there, $alone] = [$replay->at(Site::named($name)), new Replay($record, $latitude, Site::named($name))];
            foreach ($crops as $crop) {
                foreach ($crop->routes as $route) {
                    // Equal to the last digit, by PHP itself: PHPUnit takes seconds to compare lists of thousands.
                    self::assertTrue($alone->runs($crop, $route) == $there->runs($crop, $route), "{$crop->slug}, {$name}");
                }
            }
        }
    }

    /** What skips days by their soonest and latest years finds the days that asking each of them finds. */
    #[TestWith(['bush-bean', Route::Direct])]
    #[TestWith(['kale', Route::Transplant])]
    #[TestWith(['garlic-hardneck', Route::Direct])]
    public function test_a_span_of_sow_days_is_harvested_from_the_earliest_to_the_latest_of_them(string $crop, Route $route): void
    {
        $ribbon = OutcomeRibbon::of(
            (new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()))->runs(
                $this->crop($crop),
                $route,
            ),
        );
        foreach ([[120, 1], [120, 40], [200, 100], [300, 90], [1, 365], [10, 3]] as [$from, $days]) {
            $first = $last = [];
            for ($i = 0; $i < $days; $i++) {
                [$early, , , $late] = $ribbon->daysToHarvest(YearDay::wrap($from + $i)) ?? [null, null, null, null];
                if ($early !== null) {
                    [$first[], $last[]] = [$i + $early, $i + $late];
                }
            }
            self::assertSame(
                $first === [] ? null : [min($first), max($last)],
                $ribbon->harvestSpan(YearDay::fromNumber($from), $days),
                "{$days} days from {$from}",
            );
        }
    }

    /** Three weeks at the ceiling end a crop, and a day fewer does not. */
    #[TestWith([20, 'harvest'])]
    #[TestWith([21, 'heat'])]
    public function test_the_twenty_first_day_at_the_ceiling_ends_a_crop(int $days, string $outcome): void
    {
        $cells = [
            'heat_c' => '60',
            'ceiling_c' => '32',
            'maturity_days' => '60',
            'maturity_basis' => 'transplant',
            'min_harvest_days' => '1',
            'young_heat_c' => '',
        ];
        $crop = CropSchema::crop($cells + CropCsv::standardRows()['kale']);
        $minimum = array_fill(0, 730, 11.0);
        $maximum = array_fill(0, 730, 21.0);
        for ($i = 10; $i < 10 + $days; $i++) {
            [$minimum[$i], $maximum[$i]] = [27.0, 37.0];
        }
        $replay = new Replay(
            new DailyRecord(Day::of(2001, 1, 1), $minimum, $maximum),
            Latitude::of(0.0),
            new Site('flat', 0, 0, 1, 0),
            LightSchool::None,
        );
        self::assertSame($outcome, $replay->runs($crop, Route::Transplant)->all()[0]->outcome->value);
    }

    /** Fewer than three growth-days in a fortnight stunt a plant that was set out. */
    public function test_a_fortnight_with_hardly_any_growth_stunts_what_was_set_out(): void
    {
        $at = fn (float $celsius): Outcome => (new Replay(
            $this->steady($celsius - 5, $celsius + 5),
            Latitude::of(0.0),
            new Site('flat', 0, 0, 1, 0),
            LightSchool::None,
        ))
            ->runs(
                CropSchema::crop(
                    [
                        'base_c' => '5',
                        'opt_low_c' => '15',
                        'opt_high_c' => '20',
                        'ref_c' => '15',
                        'kill_young_c' => '-30',
                        'kill_c' => '-30',
                    ] + CropCsv::standardRows()['kale'],
                ),
                Route::Transplant,
            )
            ->all()[0]->outcome;
        // A tenth of a growth-day for each degree above 5 °C: 14 days at 7.1 °C give 2.94, at 7.2 °C 3.08.
        self::assertSame([Outcome::Stunted, false], [$at(7.1), $at(7.2) === Outcome::Stunted]);
    }

    /** Cloves are to be had from so many to so many days after the longest day, both included, on either side of the equator. */
    #[TestWith([46.0, '2001-09-14', '2002-02-16'])]
    #[TestWith([-46.0, '2001-03-16', '2001-08-18'])]
    public function test_planting_stock_is_there_on_its_first_day_and_on_its_last(
        float $latitude,
        string $first,
        string $last,
    ): void {
        $runs = (new Replay($this->steady(11, 21, 1100), Latitude::of($latitude), new Site('flat', 0, 0, 1, 0), LightSchool::None))
            ->runs($this->crop('garlic-hardneck'), Route::Direct)
            ->all();
        $none = array_column(
            array_map(static fn (Run $r): array => [$r->sown->iso(), $r->outcome === Outcome::NoStock], $runs),
            1,
            0,
        );
        self::assertSame(
            [true, false, false, true],
            [
                $none[
                    Day::fromIso($first)
                        ->plus(-1)
                        ->iso()
                ],
                $none[$first],
                $none[$last],
                $none[Day::fromIso($last)->plus(1)->iso()],
            ],
        );
    }

    public function test_ground_of_half_a_degree_is_frozen(): void
    {
        $outcome = fn (float $celsius): Outcome => (new Replay(
            $this->steady($celsius, $celsius),
            Latitude::of(0.0),
            new Site('flat', 0, 0, 1, 0),
            LightSchool::None,
        ))
            ->runs($this->crop('kale'), Route::Transplant)
            ->all()[0]->outcome;
        self::assertSame([true, false], [$outcome(0.5) === Outcome::GroundFrozen, $outcome(0.51) === Outcome::GroundFrozen]);
    }

    /**
     * A freeze that kills young and grown alike takes a plant on any day: as young to the end of its youth, as grown from the next
     * day on.
     */
    public function test_between_youth_and_age_there_is_no_day_that_freezes_nothing(): void
    {
        $crop = CropSchema::crop(['kill_young_c' => '-8', 'kill_c' => '-8'] + CropCsv::standardRows()['kale']);
        $outcomes = '';
        for ($day = 1; $day <= 40; $day++) {
            $minimum = array_fill(0, 730, 11.0);
            $minimum[$day] = -8.0;
            $replay = new Replay(
                new DailyRecord(Day::of(2001, 1, 1), $minimum, array_fill(0, 730, 21.0)),
                Latitude::of(0.0),
                new Site('flat', 0, 0, 1, 0),
                LightSchool::None,
            );
            $outcomes .= match ($replay->runs($crop, Route::Transplant)->all()[0]->outcome) {
                Outcome::FreezeYoung => 'y',
                Outcome::FreezeLate => 'l',
                default => '-',
            };
        }
        self::assertMatchesRegularExpression('/^y{5,}l{5,}-+$/', $outcomes, 'and once the harvest is over, none');
    }

    /** What has not come up counts when its last day is on record, and not when it is the day after. */
    public function test_a_sowing_that_never_comes_up_counts_while_its_time_ends_on_record(): void
    {
        $days = 500;
        $radish = $this->crop('radish');
        $runs = (new Replay($this->steady(1, 3, $days), Latitude::of(0.0), new Site('flat', 0, 0, 1, 0), LightSchool::None))
            ->runs($radish, Route::Direct)
            ->all();
        self::assertSame(
            ['no-emergence-cold'],
            array_values(array_unique(array_map(static fn (Run $r): string => $r->outcome->value, $runs))),
        );
        self::assertCount($days - $radish->emergence->maxDays, $runs);
        self::assertSame($days - 1, $runs[count($runs) - 1]->ended->number - $runs[0]->sown->number);
    }

    /** A bulb planted as a set is full-sized from the start, and no more than that. */
    public function test_no_sowing_brings_more_than_a_whole_harvest(): void
    {
        foreach (['onion-sets-long-day', 'radish'] as $slug) {
            $crop = $this->crop($slug);
            $expected = OutcomeRibbon::of(
                (new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()))->runs(
                    $crop,
                    $crop->routes[0],
                ),
            )->expectedHarvest($crop->harvest->days);
            self::assertGreaterThan(0.85, max($expected), $slug);
            self::assertLessThanOrEqual(1.0 + 1e-9, max($expected), $slug);
        }
    }

    /** Up on the last day the crop is given, and lost where that day is one sooner. */
    public function test_a_seedling_may_come_up_on_its_last_day(): void
    {
        // Soil of 16 °C: a radish is up seven days after it was sown.
        $outcome = fn (string $limit): Outcome => (new Replay(
            $this->steady(11, 21),
            Latitude::of(0.0),
            new Site('flat', 0, 0, 1, 0),
            LightSchool::None,
        ))
            ->runs(CropSchema::crop(['max_emerge_days' => $limit] + CropCsv::standardRows()['radish']), Route::Direct)
            ->all()[0]->outcome;
        $needed = $this->first($this->steady(11, 21), 'radish');
        $days = (int) $needed->up?->number - $needed->sown->number;
        self::assertSame([Outcome::Harvest, Outcome::NoEmergenceCold], [$outcome((string) $days), $outcome((string) ($days - 1))]);
    }

    /** What is sown in place is stunted by want of light, not by cold: only where the fortnight's mean is above the reference. */
    public function test_a_seedling_in_the_dark_is_stunted_where_it_is_warmer_than_the_reference(): void
    {
        // At 52° N nothing grows from January 1 for seven weeks; 16 is kept exactly by sums of it.
        $at = fn (float $celsius): Outcome => (new Replay(
            $this->steady($celsius - 5, $celsius + 5),
            Latitude::of(52.0),
            new Site('flat', 0, 0, 1, 0),
            LightSchool::TenHour,
        ))
            ->runs(CropSchema::crop(['ref_c' => '16'] + CropCsv::standardRows()['radish']), Route::Direct)
            ->all()[0]->outcome;
        self::assertSame([false, true], [$at(16.0) === Outcome::Stunted, $at(16.125) === Outcome::Stunted]);
    }

    /** A gap that begins on the day after a sowing's horizon does not touch it. */
    public function test_a_sowing_counts_while_its_horizon_is_on_record(): void
    {
        $minimum = array_fill(0, 900, 11.0);
        for ($i = 400; $i < 420; $i++) {
            $minimum[$i] = null;
        }
        $record = new DailyRecord(Day::of(2001, 1, 1), $minimum, array_fill(0, 900, 21.0));
        $sown = array_map(
            static fn (Run $run): int => $run->sown->number - $record->first->number,
            (new Replay($record, Latitude::of(0.0), new Site('flat', 0, 0, 1, 0)))
                ->runs($this->crop('kale'), Route::Transplant)
                ->all(),
        );
        $last = 400 - Replay::HORIZON - 1;
        self::assertContains($last, $sown);
        self::assertNotContains($last + 1, $sown);
    }

    public function test_sowings_that_do_not_count_or_do_not_come_up_keep_no_later_one_from_counting(): void
    {
        // Three years; the first soil is too cold to come up in, and a month of the second is missing.
        $days = 3 * 365;
        $record = $this->steady(12.0, 22.0, $days);
        $minimum = $maximum = [];
        foreach ($record->minimum as $i => $low) {
            $isGap = $i >= 500 && $i < 530;
            $minimum[] = $isGap ? null : ($i < 40 ? -1.0 : $low);
            $maximum[] = $isGap ? null : ($i < 40 ? 1.0 : $record->maximum[$i]);
        }
        $runs = (new Replay(
            new DailyRecord($record->first, $minimum, $maximum),
            Latitude::of(0.0),
            Site::openGround(),
            LightSchool::None,
        ))->runs($this->crop('radish'), Route::Direct)->outcomes;
        $came = static fn (int $day): ?Outcome => Outcome::fromCode($runs[$day]);
        self::assertSame(
            [Outcome::NoEmergenceCold, Outcome::Harvest, null, Outcome::Harvest],
            [$came(5), $came(100), $came(495), $came(560)],
        );
    }

    public function test_what_takes_a_day_is_up_on_the_next(): void
    {
        $record = $this->steady(11, 21);
        $replay = new Replay($record, Latitude::of(0.0), new Site('flat', 0, 0, 1, 0));
        $up = static fn (float $days): ?int => $replay
            ->emergence(
                CropSchema::crop(['em_15' => (string) $days, 'em_20' => (string) $days] + CropCsv::standardRows()['radish']),
                $record->first->plus(9),
            )
            ?->number;
        self::assertSame([10, 10, 11, 12], array_map(
            static fn (float $days): int => (int) $up($days) - $record->first->number,
            [0.5, 1.0, 1.5, 3.0],
        ));
    }

    public function test_what_the_record_ends_before_has_not_come_up(): void
    {
        $radish = $this->crop('radish')->emergence;
        $tables = new SeasonTables($this->steady(11, 21, 400), Latitude::of(0.0), new Site('flat', 0, 0, 1, 0));
        // Soil of 16 °C: up on the sixth day after.
        self::assertSame(
            [399, null, null],
            [$tables->emerged($radish, 393), $tables->emerged($radish, 394), $tables->emerged($radish, 399)],
        );
    }

    /** Bulbs are never stunted: those that do not grow at all have a youth without an end. */
    public function test_a_clove_in_weather_without_growth_runs_out_of_time(): void
    {
        $garlic = CropSchema::crop(
            ['base_c' => '9', 'opt_low_c' => '15', 'ref_c' => '15'] + CropCsv::standardRows()['garlic-hardneck'],
        );
        $runs = (new Replay($this->steady(4, 6, 1100), Latitude::of(46.0), new Site('flat', 0, 0, 1, 0), LightSchool::None))
            ->runs($garlic, Route::Direct)
            ->all();
        $outcomes = array_values(
            array_diff(array_unique(array_map(static fn (Run $r): string => $r->outcome->value, $runs)), [
                'no-stock',
                'no-emergence-cold',
            ]),
        );
        self::assertSame(['day-length'], $outcomes);
    }

    public function test_a_day_without_years_brings_nothing(): void
    {
        // From January 1, 2001 to March 31, 2002: a sowing of December has not its 330 days.
        $runs = (new Replay($this->steady(11, 21, 455), Latitude::of(0.0), new Site('flat', 0, 0, 1, 0), LightSchool::None))->runs(
            $this->crop('kale'),
            Route::Transplant,
        );
        $ribbon = OutcomeRibbon::of($runs);
        self::assertSame(0, $ribbon->years[YearDay::numberOf(11, 1) - 1]);
        self::assertSame(0.0, $ribbon->reliability[YearDay::numberOf(11, 1) - 1]);
        self::assertSame($ribbon->reliability, OutcomeRibbon::reliabilityOf($runs));
    }

    public function test_runs_of_some_years_are_those_sown_from_their_first_day_to_their_last(): void
    {
        $runs = (new Replay($this->steady(11, 21, 1500), Latitude::of(0.0), new Site('flat', 0, 0, 1, 0), LightSchool::None))->runs(
            $this->crop('radish'),
            Route::Direct,
        );
        $sown = array_map(static fn (Run $r): string => $r->sown->iso(), $runs->sownIn(2002, 2003)->all());
        self::assertSame(['2002-01-01', '2003-12-31', 730], [$sown[0], $sown[count($sown) - 1], count($sown)]);
    }

    public function test_a_ribbon_tells_how_long_what_was_sown_held_out(): void
    {
        // Kale set out in soil of half a degree fails on its day; in a mild year it lives to the end of its harvest.
        $ribbon = fn (float $celsius): OutcomeRibbon => OutcomeRibbon::of(
            (new Replay(
                $this->steady($celsius, $celsius),
                Latitude::of(0.0),
                new Site('flat', 0, 0, 1, 0),
                LightSchool::None,
            ))->runs($this->crop('kale'), Route::Transplant),
        );
        self::assertSame(0.0, $ribbon(0.5)->daysLived()[0]);
        $run = (new Replay($this->steady(16, 16), Latitude::of(0.0), new Site('flat', 0, 0, 1, 0), LightSchool::None))
            ->runs($this->crop('kale'), Route::Transplant)
            ->all()[0];
        self::assertSame((float) ($run->ended->number - $run->sown->number), $ribbon(16.0)->daysLived()[0]);
    }
}
