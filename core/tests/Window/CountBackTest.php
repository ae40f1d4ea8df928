<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Climate\FreezeRisk;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\Route;
use Anthesis\Messages\Words;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\DerivationLine;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\Reason;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\SowingWindow;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CountBackTest extends TestCase
{
    private static function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? throw new \RuntimeException("No crop {$slug}.");
    }

    private static function place(string $station): PlaceEvidence
    {
        return PlaceEvidence::of(Fixtures::record($station), Fixtures::latitude($station), Site::openGround());
    }

    private static function windows(string $station, string $slug, Route $route, ?CountBackSettings $settings = null): RouteWindows
    {
        foreach (
            (new CountBack(self::place($station), $settings ?? CountBackSettings::conventional()))->windows(self::crop($slug)) as $windows
        ) {
            if ($windows->route === $route) {
                return $windows;
            }
        }
        throw new \RuntimeException("{$slug} has no route {$route->value}.");
    }

    /** @return list<string> */
    private static function spans(RouteWindows $windows): array
    {
        return array_map(static fn (SowingWindow $w): string => "{$w->first->iso()}..{$w->last->iso()}", $windows->windows);
    }

    /** @return array<string, DerivationLine> by key */
    private static function lines(RouteWindows $windows): array
    {
        return array_column($windows->derivation, null, 'key');
    }

    public function test_a_hardy_crop_is_reckoned_as_on_paper(): void
    {
        // Last freeze (0 °C) at 1 in 2: offset 288 from July 15, April 29; radish 5 weeks before: March 25. First freeze (−4.4 °C) at 1 in
        // 2: offset 99, October 22; less 4 days of harvest, 26 to maturity, 14 for short days.
        $radish = self::windows('north', 'radish', Route::Direct);
        self::assertSame(['03-25..09-08'], self::spans($radish));
        $lines = self::lines($radish);
        self::assertSame(['04-29', null], [$lines['last-freeze']->date?->iso(), $lines['last-freeze']->days]);
        self::assertSame(['03-25', -35], [$lines['spring-lead']->date?->iso(), $lines['spring-lead']->days]);
        self::assertSame(['10-22', null], [$lines['first-freeze']->date?->iso(), $lines['first-freeze']->days]);
        self::assertSame(['10-18', -4], [$lines['harvest']->date?->iso(), $lines['harvest']->days]);
        self::assertSame(['09-22', -26], [$lines['maturity']->date?->iso(), $lines['maturity']->days]);
        self::assertSame(['09-08', -14], [$lines['short-days']->date?->iso(), $lines['short-days']->days]);
        self::assertStringContainsString('13 winters', Words::in('en')->phrase($lines['last-freeze']->source));
    }

    public function test_cold_soil_holds_a_tender_crop(): void
    {
        $bean = self::windows('north', 'bush-bean', Route::Direct);
        $soil = self::place('north')->soil;
        [$window] = $bean->windows;
        self::assertGreaterThanOrEqual(15.0, $soil->on($window->first));
        self::assertLessThan(15.0, $soil->on($window->first->plus(-1)));
        self::assertSame(Reason::ColdSoil, $bean->reasons[1]->reason);

        $unheld = self::windows(
            'north',
            'bush-bean',
            Route::Direct,
            new CountBackSettings(FreezeRisk::of(0.5), FreezeRisk::of(0.5), holdForSoil: false),
        );
        self::assertSame('05-06', $unheld->windows[0]->first->iso(), 'a week after the last freeze');
    }

    public function test_setting_out_comes_with_its_start_under_cover(): void
    {
        $broccoli = self::windows('north', 'broccoli', Route::Transplant);
        self::assertSame(['04-08..08-06'], self::spans($broccoli));
        self::assertSame('03-04', $broccoli->underCover[0]->first->iso());
        self::assertSame(35, $broccoli->underCover[0]->first->daysUntil($broccoli->windows[0]->first));
        self::assertSame('06-05', $broccoli->harvests[0]->first->iso(), '58 days from setting out');
    }

    public function test_heat_splits_a_year_in_two(): void
    {
        $cornSalad = self::windows('north', 'corn-salad', Route::Direct);
        self::assertSame(['03-18..05-06', '07-03..08-10'], self::spans($cornSalad));
        self::assertSame(['05-07', 57], [self::lines($cornSalad)['heat']->date?->iso(), self::lines($cornSalad)['heat']->days]);
    }

    public function test_less_risk_means_later_in_spring_and_earlier_in_autumn(): void
    {
        $usual = self::windows('north', 'tomato-main', Route::Transplant)->windows[0];
        $careful = self::windows(
            'north',
            'tomato-main',
            Route::Transplant,
            new CountBackSettings(FreezeRisk::oneYearIn(10), FreezeRisk::oneYearIn(10)),
        )->windows[0];
        self::assertSame(['05-13', '06-28'], [$usual->first->iso(), $usual->last->iso()]);
        self::assertSame('05-31', $careful->first->iso(), 'offset 305.2, rounded up, and two weeks');
        self::assertLessThan($usual->last->number, $careful->last->number);
    }

    public function test_without_a_freeze_the_year_stays_open(): void
    {
        self::assertTrue(self::windows('south', 'kale', Route::Direct)->windows[0]->isAllYear());
        self::assertSame([], self::windows('south', 'kale', Route::Direct)->reasons);
        // Where no freeze closes the fall, cold soil does.
        $fennel = self::windows('south', 'fennel', Route::Transplant);
        $soil = self::place('south')->soil;
        self::assertGreaterThanOrEqual(12.0, $soil->on($fennel->windows[0]->last));
        self::assertLessThan(12.0, $soil->on($fennel->windows[0]->last->plus(1)));
    }

    public function test_autumn_bulbs_go_in_before_the_soil_turns_cold(): void
    {
        $north = self::windows('north', 'garlic-hardneck', Route::Direct);
        self::assertSame(['10-13..11-10'], self::spans($north));
        self::assertSame('11-24', self::lines($north)['soil']->date?->iso());
        $south = self::windows('south', 'garlic-hardneck', Route::Direct);
        self::assertSame(42, $south->windows[0]->days, 'six weeks from the day soil falls below 16 °C');
        self::assertLessThan(16.0, self::place('south')->soil->on($south->windows[0]->first));
    }

    public function test_a_season_too_short_has_no_window_and_says_by_how_much(): void
    {
        $place = Fixtures::record('north');
        $cold = static fn (?float $v): ?float => $v === null ? null : $v - 9;
        $bench = new DailyRecord($place->first, array_map($cold, $place->minimum), array_map($cold, $place->maximum));
        $back = new CountBack(PlaceEvidence::of($bench, Latitude::of(46.8), Site::openGround()), CountBackSettings::conventional());
        [$pepper] = $back->windows(self::crop('pepper-sweet'));
        self::assertSame([], $pepper->windows);
        $line = $pepper->derivation[count($pepper->derivation) - 1];
        self::assertSame('none', $line->key);
        self::assertLessThan(0, $line->days);
    }

    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_every_day_is_either_in_a_window_or_has_a_reason(string $station): void
    {
        $back = new CountBack(self::place($station), CountBackSettings::conventional());
        foreach (Fixtures::crops()->crops as $crop) {
            foreach ($back->windows($crop) as $route) {
                $covered = array_fill(1, 365, 0);
                foreach (
                    [
                        ...$route->windows,
                        ...array_map(static fn ($r): SowingWindow => new SowingWindow($r->first, $r->last), $route->reasons),
                    ] as $span
                ) {
                    for ($i = 0; $i < $span->days; $i++) {
                        $covered[$span->first->plus($i)->number]++;
                    }
                }
                self::assertSame([1 => 365], array_count_values($covered), "{$crop->slug} {$route->route->value}");
            }
        }
    }

    public function test_the_year_turned_round_gives_the_same_windows_half_a_year_later(): void
    {
        $north = Fixtures::record('north');
        // The same weather 183 days later, at the mirrored latitude. Day length is not quite symmetric: a few days of slack.
        $flipped = new DailyRecord(Day::fromNumber($north->first->number + 183), $north->minimum, $north->maximum);
        $here = new CountBack(self::place('north'), CountBackSettings::conventional());
        $there = new CountBack(
            PlaceEvidence::of($flipped, Latitude::of(-46.8), Site::openGround()),
            CountBackSettings::conventional(),
        );
        $compared = 0;
        foreach (['radish', 'pea-snap', 'bush-bean', 'broccoli', 'tomato-main', 'carrot', 'garlic-hardneck'] as $slug) {
            foreach ($here->windows(self::crop($slug)) as $i => $route) {
                $other = $there->windows(self::crop($slug))[$i];
                self::assertCount(count($route->windows), $other->windows);
                foreach ($route->windows as $n => $window) {
                    foreach (
                        [[$window->first, $other->windows[$n]->first], [$window->last, $other->windows[$n]->last]] as [$a, $b]
                    ) {
                        $difference = $a->plus(183)->daysUntil($b);
                        self::assertLessThanOrEqual(5, min($difference, 365 - $difference), $slug);
                        $compared++;
                    }
                }
            }
        }
        self::assertGreaterThan(14, $compared);
    }

    public function test_less_than_one_cold_season_is_refused_in_words(): void
    {
        $this->expectException(RecordTooShort::class);
        $this->expectExceptionMessage('no-cold-season","with":{"from":{"key":"day","with":{"day":15,"month":7}}}');
        $values = array_fill(0, 300, 1.0);
        PlaceEvidence::of(new DailyRecord(Day::of(2001, 1, 1), $values, $values), Latitude::of(50), Site::openGround());
    }

    public function test_windows_wrap_around_the_new_year(): void
    {
        $window = new SowingWindow(YearDay::of(12, 20), YearDay::of(1, 10));
        self::assertSame(22, $window->days);
        self::assertTrue($window->contains(YearDay::of(1, 1)));
        self::assertTrue($window->contains(YearDay::of(12, 20)));
        self::assertFalse($window->contains(YearDay::of(1, 11)));
    }

    /** The limits of hardiness themselves belong to the tenderer side: −1.0 °C to the light freeze, −3.0 °C to the killing one. */
    #[TestWith(['-0.9', '0 °C'])]
    #[TestWith(['-1.0', '0 °C'])]
    #[TestWith(['-1.1', '−2.2 °C'])]
    #[TestWith(['-3.0', '−2.2 °C'])]
    #[TestWith(['-3.1', '−4.4 °C'])]
    public function test_the_freeze_that_ends_a_season_goes_by_what_kills_the_grown_plant(string $kills, string $freeze): void
    {
        $crop = CropSchema::crop(['kill_c' => $kills, 'kill_young_c' => $kills] + CropCsv::standardRows()['radish']);
        $lines = self::lines((new CountBack(self::place('north'), CountBackSettings::conventional()))->windows($crop)[0]);
        self::assertSame(
            "First freeze ({$freeze}), earlier in 1 year in 2",
            Words::in('en')->phrase($lines['first-freeze']->label),
        );
    }

    public function test_short_days_are_allowed_for_only_where_days_are_under_twelve_hours_and_something_is_allowed(): void
    {
        $none = self::windows(
            'north',
            'radish',
            Route::Direct,
            new CountBackSettings(FreezeRisk::oneYearIn(2), FreezeRisk::oneYearIn(2), shortDayAllowance: 0),
        );
        self::assertSame(['03-25..09-22'], self::spans($none));
        self::assertArrayNotHasKey('short-days', self::lines($none));
        self::assertArrayNotHasKey(
            'short-days',
            self::lines(self::windows('north', 'bush-bean', Route::Direct)),
            'beans are ripe in September',
        );
    }

    #[TestWith([ProofStandard::Cautious, 10])]
    #[TestWith([ProofStandard::Reliable, 5])]
    #[TestWith([ProofStandard::Bold, 3])]
    public function test_a_standard_can_be_told_from_so_many_years_that_one_of_them_may_fail(
        ProofStandard $standard,
        int $years,
    ): void {
        self::assertSame([false, true], [$standard->canBeToldFrom($years - 1), $standard->canBeToldFrom($years)]);
    }
}
