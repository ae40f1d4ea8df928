<?php

declare(strict_types=1);

namespace Anthesis\Tests\Trial;

use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Replay\Replay;
use Anthesis\Replay\SeasonTables;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use Anthesis\Trial\LocalDays;
use Anthesis\Trial\ObservedSowing;
use Anthesis\Trial\Wave;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;

final class LocalDaysTest extends TestCase
{
    private static ?SeasonTables $tables = null;

    private static function tables(): SeasonTables
    {
        return self::$tables ??= new SeasonTables(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround());
    }

    /** @param  list<ObservedSowing>  $sowings */
    private static function told(Crop $crop, Route $route, array $sowings): ?LocalDays
    {
        return LocalDays::of(
            $crop,
            $route,
            LightSchool::Radiation,
            array_map(static fn (ObservedSowing $s): array => [self::tables(), $s], $sowings),
        );
    }

    private static function crop(string $slug): Crop
    {
        return CropCsv::crop(CropCsv::standardRows()[$slug]);
    }

    /** @return list<ObservedSowing> what a gardener sees whose crop takes so many packet days in truth, sown on a day of each year */
    private static function seen(
        Crop $crop,
        Route $route,
        float $trueDays,
        int $sowings,
        string $monthDay = '05-10',
        bool $withEmergence = true,
    ): array {
        $runs = (new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()))->runs(
            $crop->maturingIn($trueDays),
            $route,
        );
        $first = self::tables()->first;
        $seen = [];
        for ($year = 2000; count($seen) < $sowings; $year++) {
            $on = Day::fromIso("{$year}-{$monthDay}");
            $run = null;
            foreach ($runs->all($on->yearDay()->number) as $one) {
                $run = $one->sown->number === $on->number ? $one : $run;
            }
            if ($run?->daysToHarvest !== null) {
                $seen[] = new ObservedSowing($on, $withEmergence ? $run->up : null, $on->plus($run->daysToHarvest));
            }
            self::assertLessThan(2030, $year, "fewer than {$sowings} sowings since {$first->iso()}");
        }

        return $seen;
    }

    public function test_growth_days_from_emergence_to_first_harvest_over_those_the_packet_asks_for(): void
    {
        $crop = self::crop('radish');
        $growth = self::tables()->growth($crop, LightSchool::Radiation);
        [$up, $harvest] = [Day::fromIso('2010-05-20'), Day::fromIso('2010-06-14')];
        $told = self::told($crop, Route::Direct, [new ObservedSowing(Day::fromIso('2010-05-12'), $up, $harvest)]);
        $index = static fn (Day $day): int => $day->number - self::tables()->first->number;
        $share = ($growth[$index($harvest) + 1] - $growth[$index($up) + 1]) / (new Maturity($crop))->growthDays(Route::Direct);
        self::assertEqualsWithDelta([$share], $told?->shares, 1e-12);
        self::assertEqualsWithDelta($share ** 0.25, $told?->factor, 1e-12, 'one sowing stands against three that say nothing');
        self::assertEqualsWithDelta($crop->growth->maturityDays * $share ** 0.25, $told?->days, 1e-9);
        self::assertNull($told?->errorAfter, 'there is no other to tell it by');
    }

    public function test_eight_sowings_of_a_simulated_gardener_bring_the_days_within_five_in_a_hundred_of_the_hidden_ones(): void
    {
        foreach (['lettuce-leaf' => 1.15, 'radish' => 0.87, 'kale' => 1.12] as $slug => $truth) {
            $crop = self::crop($slug);
            $hidden = $crop->growth->maturityDays * $truth;
            $told = self::told($crop, Route::Direct, self::seen($crop, Route::Direct, $hidden, 8));
            self::assertNotNull($told);
            self::assertEqualsWithDelta($hidden, $told->days, 0.05 * $hidden, $slug);
            self::assertLessThan($told->errorBefore, $told->errorAfter, "{$slug}: the days told are nearer than the packet's");
        }
    }

    public function test_what_was_not_seen_coming_up_comes_up_as_the_soil_says_and_what_was_set_out_counts_from_then(): void
    {
        $crop = self::crop('radish');
        $of = static fn (bool $seen): ?LocalDays => self::told(
            $crop,
            Route::Direct,
            self::seen($crop, Route::Direct, 30, 4, withEmergence: $seen),
        );
        self::assertEqualsWithDelta($of(true)?->shares, $of(false)?->shares, 1e-12);
        $broccoli = self::crop('broccoli');
        $set = self::told(
            $broccoli,
            Route::Transplant,
            self::seen($broccoli, Route::Transplant, $broccoli->growth->maturityDays, 3, '06-01'),
        );
        // First harvest is the first day by which the growth has passed, so a little more of it has.
        foreach ($set->shares ?? [] as $share) {
            self::assertGreaterThanOrEqual(1.0 - 1e-9, $share);
            self::assertLessThan(1.03, $share);
        }
        self::assertEqualsWithDelta(0.0, $set?->errorBefore, 1e-9);
    }

    public function test_sowings_the_record_does_not_hold_are_left_out(): void
    {
        $crop = self::crop('radish');
        $sowing = static fn (string $on, string $harvest): ObservedSowing => new ObservedSowing(
            Day::fromIso($on),
            null,
            Day::fromIso($harvest),
        );
        self::assertNull(self::told($crop, Route::Direct, []));
        self::assertNull(
            self::told($crop, Route::Direct, [$sowing('1950-05-01', '1950-06-10'), $sowing('2100-05-01', '2100-06-10')]),
        );
        $last = self::tables()->first->plus(self::tables()->days - 1);
        self::assertNull(
            self::told($crop, Route::Direct, [new ObservedSowing($last->plus(-40), $last->plus(-30), $last->plus(1))]),
        );
        self::assertNotNull(self::told($crop, Route::Direct, [new ObservedSowing($last->plus(-40), $last->plus(-30), $last)]));
        self::assertCount(
            1,
            self::told($crop, Route::Direct, [$sowing('2010-05-12', '2010-06-14'), $sowing('1950-05-01', '1950-06-10')])->shares ??
                [],
        );
    }

    public function test_nothing_is_picked_before_it_is_up_nor_up_before_it_is_sown(): void
    {
        $day = Day::fromIso('2010-05-12');
        new ObservedSowing($day, $day, $day);
        foreach (
            [[$day, $day->plus(-1), $day], [$day, $day->plus(3), $day->plus(2)], [$day, null, $day->plus(-1)]] as [$on, $up, $harvest]
        ) {
            try {
                new ObservedSowing($on, $up, $harvest);
                self::fail('it was taken');
            } catch (InvalidArgumentException $refused) {
                self::assertStringContainsString('picked after that', $refused->getMessage());
            }
        }
    }

    public function test_waves_are_ranked_by_what_they_gave_losses_among_it_and_few_repeats_are_one_seasons_word(): void
    {
        $early = new Wave('a week early', [0.0, 3.0, 0.0], [2], 0.6);
        $on = new Wave('on the day', [2.0, 2.0, 2.0], [3, 3, 2], 0.9);
        $late = new Wave('a week late', [2.0, 2.0], [3, 3], null);
        $none = new Wave('not sown', [], [], null);
        self::assertSame(
            ['a week late', 'on the day', 'a week early', 'not sown'],
            array_map(static fn (Wave $w): string => $w->name, Wave::ranked([$early, $none, $on, $late])),
        );
        self::assertSame([1.0, 2, 2.0], [$early->meanYield(), $early->lost(), $early->meanQuality()]);
        self::assertSame(
            [false, false, true, true],
            array_map(static fn (Wave $w): bool => $w->isOneSeasonsWord(), [$early, $on, $late, $none]),
        );
        self::assertSame([0.0, 0.0, 0], [$none->meanYield(), $none->meanQuality(), $none->lost()]);
    }

    public function test_errors_are_the_mean_of_days_between_what_was_told_and_what_was_seen(): void
    {
        $crop = self::crop('radish');
        [$a, $b] = self::seen($crop, Route::Direct, $crop->growth->maturityDays, 2);
        $late = static fn (ObservedSowing $s, int $days): ObservedSowing => new ObservedSowing(
            $s->on,
            $s->up,
            $s->firstHarvest->plus($days),
        );
        [$a, $b] = [$late($a, 4), $late($b, 2)];
        $told = self::told($crop, Route::Direct, [$a, $b]);
        self::assertEqualsWithDelta(3.0, $told?->errorBefore, 1e-12, 'four days late and two');
        $byTheOther = static function (ObservedSowing $seen, ObservedSowing $other) use ($crop): int {
            $days = self::told($crop, Route::Direct, [$other])->days ?? self::fail('nothing told');
            $predicted = self::seen($crop, Route::Direct, $days, 2);
            foreach ($predicted as $one) {
                if ($one->on->number === $seen->on->number) {
                    return abs($one->firstHarvest->number - $seen->firstHarvest->number);
                }
            }
            self::fail('it was not sown');
        };
        self::assertEqualsWithDelta(($byTheOther($a, $b) + $byTheOther($b, $a)) / 2, $told?->errorAfter, 1e-12);
        self::assertLessThan(3.0, $told?->errorAfter);
    }

    public function test_what_has_not_grown_enough_by_the_records_end_is_told_for_its_last_day(): void
    {
        $last = self::tables()->first->plus(self::tables()->days - 1);
        $told = self::told(self::crop('kale'), Route::Direct, [new ObservedSowing($last->plus(-40), $last->plus(-30), $last)]);
        self::assertSame([0.0, 1], [$told?->errorBefore, count($told->shares ?? [])]);
        $earlier = self::told(self::crop('kale'), Route::Direct, [
            new ObservedSowing($last->plus(-40), $last->plus(-30), $last->plus(-5)),
        ]);
        self::assertSame(5.0, $earlier?->errorBefore);
    }

    public function test_the_records_first_day_counts_and_a_harvest_on_the_day_it_came_up_tells_nothing(): void
    {
        $first = self::tables()->first;
        $radish = self::crop('radish');
        self::assertNotNull(self::told($radish, Route::Transplant, [new ObservedSowing($first, null, $first->plus(150))]));
        self::assertNull(self::told($radish, Route::Transplant, [new ObservedSowing($first->plus(-1), null, $first->plus(150))]));
        $day = Day::fromIso('2010-06-01');
        self::assertNull(self::told($radish, Route::Direct, [new ObservedSowing($day->plus(-9), $day, $day)]));
        self::assertNotNull(self::told($radish, Route::Direct, [new ObservedSowing($day->plus(-9), $day, $day->plus(1))]));
    }

    public function test_a_day_that_is_missing_between_coming_up_and_harvest_leaves_the_sowing_out(): void
    {
        $record = Fixtures::record('north');
        $gap = Day::fromIso('2010-06-05')->number - $record->first->number;
        [$minimum, $maximum] = [$record->minimum, $record->maximum];
        // Longer than what is bridged.
        for ($i = 0; $i < 12; $i++) {
            $minimum[$gap + $i] = $maximum[$gap + $i] = null;
        }
        $tables = new SeasonTables(
            new DailyRecord($record->first, $minimum, $maximum),
            Fixtures::latitude('north'),
            Site::openGround(),
        );
        $of = static fn (string $up, string $harvest): ?LocalDays => LocalDays::of(
            self::crop('radish'),
            Route::Direct,
            LightSchool::Radiation,
            [[$tables, new ObservedSowing(Day::fromIso('2010-05-01'), Day::fromIso($up), Day::fromIso($harvest))]],
        );
        self::assertNotNull($of('2010-05-10', '2010-06-04'));
        self::assertNull($of('2010-05-10', '2010-06-05'), 'the day of harvest itself is missing');
        self::assertNull($of('2010-06-16', '2010-07-05'), 'the last missing day');
        self::assertNotNull($of('2010-06-17', '2010-07-05'));
    }

    public function test_only_what_gave_nothing_at_all_is_lost(): void
    {
        self::assertSame(1, (new Wave('on the day', [0.5, 0.0, 1.0], [], null))->lost());
    }
}
