<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Climate\Normals;
use Anthesis\Crop\Convention;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Crop\Stock;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\FairChance;
use Anthesis\Window\PrintedWindows;
use Anthesis\Window\Reason;
use Anthesis\Window\ReasonSpan;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SoilHold;
use Anthesis\Window\SowingWindow;
use PHPUnit\Framework\TestCase;

/** Windows that wait for the soil, and windows as a calendar prints them. */
final class PrintedWindowsTest extends TestCase
{
    /** @param  array<array{int, int}>  $spans */
    private static function windows(array $spans): array
    {
        return array_map(
            static fn (array $s): SowingWindow => new SowingWindow(YearDay::fromNumber($s[0]), YearDay::fromNumber($s[1])),
            $spans,
        );
    }

    /** @return list<array{int, int}> */
    private static function numbers(array $windows): array
    {
        return array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $windows);
    }

    /**
     * @param  array<array{int, int}>  $spans
     * @param  array<int, float>  $reliability  by sow day; all other days: 0.7
     */
    private static function joined(array $spans, array $reliability = [], ?SoilHold $hold = null, int $from = 1): array
    {
        $days = array_map(static fn (int $day): float => $reliability[$day] ?? 0.7, range(1, YearDay::YEAR));

        return self::numbers(PrintedWindows::joined(self::windows($spans), $days, $hold, 0.8, YearDay::fromNumber($from)));
    }

    private static function crop(?float $soil, ?Stock $stock = null): Crop
    {
        $crop = Fixtures::crops()->find('bush-bean') ?? self::fail('no bush bean');

        return $crop->with(convention: new Convention($soil, $soil, 0, 0, null), stock: $stock);
    }

    /** @param  float  $cold  °C before day 100 and from day 300 on; 20 °C between */
    private static function soil(float $cold): Normals
    {
        // A sine through the year, warmest in the middle.
        $series = array_map(
            static fn (int $day): float => 20 - (20 - $cold) * cos((2 * M_PI * ($day - 1)) / YearDay::YEAR),
            range(1, YearDay::YEAR),
        );

        return Normals::of(Day::of(2001, 1, 1), $series);
    }

    public function test_gaps_of_up_to_three_days_near_the_standard_are_bridged(): void
    {
        self::assertSame([[100, 113]], self::joined([[100, 105], [109, 113]]));
        self::assertSame([[100, 105], [110, 114]], self::joined([[100, 105], [110, 114]]), 'four days are too many');
        self::assertSame(
            [[100, 105], [109, 113]],
            self::joined([[100, 105], [109, 113]], [107 => 0.699]),
            'one of them falls short',
        );
        self::assertSame([[100, 113]], self::joined([[100, 105], [109, 113]], [107 => 0.7 - 1e-12]), 'the tolerance of sums');
        self::assertSame([[100, 120]], self::joined([[100, 105], [108, 112], [115, 120]]), 'again and again');
        self::assertSame([[100, 110]], self::joined([[100, 110]]));
    }

    public function test_windows_are_bridged_across_the_new_year(): void
    {
        self::assertSame([[200, 210], [350, 10]], self::joined([[3, 10], [200, 210], [350, 364]], from: 100));
        self::assertSame(
            [[3, 10], [200, 210], [350, 363]],
            self::joined([[3, 10], [200, 210], [350, 363]]),
            'days 364, 365, 1 and 2',
        );
    }

    public function test_days_that_wait_for_the_soil_are_never_bridged(): void
    {
        $hold = SoilHold::of(self::soil(0), self::crop(10.0), Route::Direct) ?? self::fail();
        $last = array_key_last(array_filter(array_slice($hold->days, 0, 200), static fn (bool $waits): bool => $waits)) + 1;
        self::assertSame(
            [[$last - 8, $last - 2], [$last + 1, $last + 20]],
            self::joined([[$last - 8, $last - 2], [$last + 1, $last + 20]], hold: $hold),
        );
    }

    public function test_a_sliver_beside_a_window_worth_the_name_is_none(): void
    {
        [$windows, $slivers] = PrintedWindows::slivers(self::windows([[100, 107], [200, 206], [300, 304]]));
        self::assertSame([[[100, 107]], [[200, 206], [300, 304]]], [self::numbers($windows), self::numbers($slivers)]);
        [$windows, $slivers] = PrintedWindows::slivers(self::windows([[200, 206], [300, 304]]));
        self::assertSame([[[200, 206], [300, 304]], []], [self::numbers($windows), $slivers], 'nothing better is there');
    }

    public function test_what_holds_a_crop_is_its_own_minimum_of_the_route(): void
    {
        $soil = self::soil(0);
        $hold = SoilHold::of($soil, self::crop(10.0), Route::Direct) ?? self::fail();
        self::assertTrue($hold->holds(YearDay::fromNumber(1)));
        self::assertFalse($hold->holds(YearDay::fromNumber(180)));
        foreach (range(1, YearDay::YEAR) as $day) {
            self::assertSame($soil->values[$day - 1] < 10.0, $hold->holds(YearDay::fromNumber($day)));
        }
        $exactly = $soil->values[59];
        self::assertFalse(
            SoilHold::of($soil, self::crop($exactly), Route::Direct)?->holds(YearDay::fromNumber(60)),
            'a minimum that is reached',
        );
        self::assertNull(SoilHold::of($soil, self::crop(null), Route::Direct), 'no minimum');
        self::assertNull(SoilHold::of(null, self::crop(10.0), Route::Direct), 'no normals');
        self::assertNull(SoilHold::of($soil, self::crop(10.0, new Stock(60, 150)), Route::Direct), 'planting stock decides');
        self::assertNull(SoilHold::of(self::soil(15), self::crop(10.0), Route::Direct), 'warm enough all year');
    }

    /** @param  callable(int): float  $share  of ten years that come to a harvest, by sow day */
    private static function at(callable $share, ?SoilHold $hold, bool $raw = false): RouteWindows
    {
        $sowDays = $outcomes = $mature = $harvests = $ups = $ends = [];
        for ($year = 0; $year < 10; $year++) {
            for ($day = 1; $day <= YearDay::YEAR; $day++) {
                $sowDays[] = $day;
                $outcomes[] = $year < round(10 * $share($day)) ? 1 : 9;
                $mature[] = count($mature) + 30;
                $harvests[] = 10;
                $ups[] = $ends[] = 0;
            }
        }
        $ribbon = OutcomeRibbon::of(new Runs(Day::of(2001, 1, 1), SowDays::of($sowDays), $outcomes, $mature, $harvests, $ups, $ends));

        return (new ReplayWindows(self::crop(10.0), Route::Direct, $ribbon, YearDay::fromNumber(1), 'open ground', $hold))->at(
            0.8,
            $raw,
        );
    }

    public function test_a_replay_that_would_open_earlier_waits_for_the_soil_and_says_so(): void
    {
        $hold = SoilHold::of(self::soil(0), self::crop(10.0), Route::Direct) ?? self::fail();
        $first = array_search(false, $hold->days, true) + 1;
        $share = static fn (int $day): float => $day >= 40 && $day <= 200 ? 1.0 : 0.0;
        $held = self::at($share, $hold);
        self::assertSame([[$first, 198]], self::numbers($held->windows));
        self::assertSame([[42, 198]], self::numbers(self::at($share, $hold, raw: true)->windows));
        self::assertSame([[42, 198]], self::numbers(self::at($share, null)->windows));
        $reasons = array_map(
            static fn (ReasonSpan $s): array => [$s->first->number, $s->last->number, $s->reason->value],
            $held->reasons,
        );
        self::assertContains(
            [40, $first - 1, Reason::SoilBelowMinimum->value],
            $reasons,
            'from a fair chance on it is the soil that closes',
        );
        $line = array_values(array_filter($held->derivation, static fn ($l): bool => $l->key === 'first'))[0];
        self::assertSame('source.held-before', $line->source->key);
    }

    public function test_where_the_soil_is_never_warm_enough_that_is_why_there_is_no_window(): void
    {
        $hold = SoilHold::of(self::soil(0), self::crop(40.0), Route::Direct) ?? self::fail();
        $none = self::at(static fn (): float => 1.0, $hold)->noWindow ?? self::fail();
        self::assertSame(Reason::SoilBelowMinimum, $none->reason);
        self::assertSame('no-window.soil', $none->phrases()[0]->key);
    }

    public function test_a_sliver_is_told_as_a_fair_chance_once(): void
    {
        // Two windows: from day 100 on, and of a few days around 300 beside which nothing is fair.
        $share = static fn (int $day): float => ($day >= 100 && $day <= 150) || ($day >= 298 && $day <= 306) ? 1.0 : 0.0;
        $windows = self::at($share, null);
        self::assertSame([[102, 148]], self::numbers($windows->windows));
        self::assertSame(
            [[298, 306]],
            array_map(static fn (FairChance $c): array => self::numbers([$c->days])[0], $windows->chances),
        );
        self::assertSame([[102, 148], [300, 304]], self::numbers(self::at($share, null, raw: true)->windows));
    }
}
