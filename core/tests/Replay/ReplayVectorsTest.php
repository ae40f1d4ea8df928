<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Run;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\BestSpan;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowFinder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every run an independent program worked out: outcome, days to first harvest, harvest days, reliability and windows. */
final class ReplayVectorsTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function cases(): iterable
    {
        foreach (['north', 'south'] as $station) {
            foreach (Fixtures::json("replay-{$station}.json") as $i => $case) {
                yield "{$station}: {$case['crop']}, {$case['site']}" => [$station, $i];
            }
        }
    }

    /** @return iterable<string, array{string, int}> of records with rain and snow: fruit set, young heat, cold that counts once a plant is big */
    public static function casesOfThirdEdition(): iterable
    {
        foreach (['north', 'south'] as $station) {
            foreach (Fixtures::json("fruit-set-{$station}.json") as $i => $case) {
                yield "{$station}: {$case['crop']}" => [$station, $i];
            }
        }
    }

    #[DataProvider('casesOfThirdEdition')]
    public function test_runs_under_snow_and_with_fruit_set_are_those_of_the_reference(string $station, int $i): void
    {
        $case = Fixtures::json("fruit-set-{$station}.json")[$i];
        $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
        $replay = new Replay(Fixtures::record("{$station}-rain"), Fixtures::latitude($station), Site::openGround());
        $runs = $replay->runs($crop, Route::from($case['route']));
        foreach ($case['sow_days'] as $day => $expected) {
            $found = array_map(
                static fn (Run $r): array => [$r->sown->year(), $r->outcome->value, $r->daysToHarvest, $r->harvestDays],
                $runs->all((int) $day),
            );
            self::assertSame($expected, $found, "sow day {$day}");
        }
        $reliability = OutcomeRibbon::of($runs)->reliability;
        foreach ($case['windows'] as $standard => $expected) {
            $open = array_map(static fn (float $r): bool => $r >= (float) $standard - 1e-9, $reliability);
            self::assertEqualsCanonicalizing(
                $expected,
                array_map(
                    static fn (SowingWindow $w): array => [$w->first->number, $w->last->number],
                    WindowFinder::runs($open, YearDay::fromNumber(1), 5),
                ),
                "windows at {$standard}",
            );
        }
    }

    #[DataProvider('cases')]
    public function test_runs_and_windows_are_those_of_the_reference(string $station, int $i): void
    {
        $case = Fixtures::json("replay-{$station}.json")[$i];
        $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
        $route = Route::from($case['route']);
        self::assertEqualsWithDelta($case['growth_days_needed'], (new Maturity($crop))->growthDays($route), 1e-3);

        $runs = (new Replay(Fixtures::record($station), Fixtures::latitude($station), Site::named($case['site'])))->runs(
            $crop,
            $route,
        );
        foreach ($case['sow_days'] as $day => $expected) {
            $found = array_map(
                static fn (Run $r): array => [$r->sown->year(), $r->outcome->value, $r->daysToHarvest, $r->harvestDays],
                $runs->all((int) $day),
            );
            self::assertSame($expected, $found, "sow day {$day}");
        }
        $ribbon = OutcomeRibbon::of($runs);
        foreach ($case['reliability'] as $day => $share) {
            self::assertEqualsWithDelta($share, $ribbon->reliability[(int) $day - 1], 6e-4, "reliability of sow day {$day}");
        }
        foreach ($case['windows'] as $standard => $expected) {
            $windows = WindowFinder::runs(
                array_map(static fn (float $r): bool => $r >= (float) $standard - 1e-9, $ribbon->reliability),
                YearDay::fromNumber(1),
                5,
            );
            self::assertEqualsCanonicalizing(
                $expected,
                array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $windows),
                "windows at {$standard}",
            );
        }
        $expected = $ribbon->expectedHarvest($crop->harvest->days);
        foreach ($case['expected_harvest'] as $day => $harvest) {
            self::assertEqualsWithDelta($harvest, $expected[(int) $day - 1], 1e-3, "expected harvest of sow day {$day}");
        }
        $best = array_map(
            static fn (SowingWindow $w): SowingWindow => BestSpan::of($w, $expected),
            WindowFinder::runs(
                array_map(static fn (float $r): bool => $r >= 0.8 - 1e-9, $ribbon->reliability),
                YearDay::fromNumber(1),
                5,
            ),
        );
        self::assertEqualsCanonicalizing(
            $case['best']['0.8'],
            array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $best),
            'best spans',
        );
    }
}
