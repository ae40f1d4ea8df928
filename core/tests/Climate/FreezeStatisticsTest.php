<?php

declare(strict_types=1);

namespace Anthesis\Tests\Climate;

use Anthesis\Climate\FreezeRisk;
use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\Hardiness;
use Anthesis\Climate\Quantile;
use Anthesis\Climate\Trend;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FreezeStatisticsTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function cases(): iterable
    {
        foreach (array_keys(Fixtures::STATIONS) as $station) {
            foreach (range(0, 3) as $i) {
                yield "{$station} {$i}" => [$station, $i];
            }
        }
    }

    #[DataProvider('cases')]
    public function test_freezes_equal_the_reference(string $station, int $i): void
    {
        $expected = Fixtures::json("freezes-{$station}.json")['thresholds'][$i];
        $actual = FreezeStatistics::of(Fixtures::record($station), Fixtures::latitude($station), $expected['threshold']);

        self::assertSame(
            $expected['seasons'],
            array_map(static fn ($s): array => ['season' => $s->season, 'first' => $s->first, 'last' => $s->last], $actual->seasons),
        );
        foreach (['0.5', '0.2', '0.1'] as $risk) {
            $at = FreezeRisk::of((float) $risk);
            $this->assertOffset($expected['last'][$risk], $actual->lastAtRisk($at));
            $this->assertOffset($expected['first'][$risk], $actual->firstAtRisk($at));
        }
        foreach ($expected['rank_interval'] as $p => $ranks) {
            self::assertSame($ranks, Quantile::rankInterval($actual->count(), (float) $p));
        }
        foreach ($expected['risk_of_freeze_on_or_after'] as $offset => $risk) {
            self::assertEqualsWithDelta($risk, $actual->riskOnOrAfter((int) $offset), 1e-4);
        }
        $trend = $actual->trendOfLast();
        self::assertSame(isset($expected['trend_of_last']), $trend !== null);
        if ($trend !== null) {
            self::assertEqualsWithDelta($expected['trend_of_last']['days_per_decade'], $trend->daysPerDecade, 1e-3);
            self::assertEqualsWithDelta($expected['trend_of_last']['p'], $trend->p, 1e-3);
        }
    }

    private function assertOffset(?float $expected, ?float $actual): void
    {
        if ($expected === null) {
            self::assertNull($actual);
        } else {
            self::assertEqualsWithDelta($expected, $actual, 1e-3);
        }
    }

    #[DataProvider('stations')]
    public function test_hardiness_equals_the_reference(string $station): void
    {
        $expected = Fixtures::json("freezes-{$station}.json")['hardiness'];
        $statistics = FreezeStatistics::of(Fixtures::record($station), Fixtures::latitude($station), 0.0);
        $actual = Hardiness::of($statistics->seasons);
        self::assertNotNull($actual);
        self::assertEqualsWithDelta($expected['mean_extreme_minimum'], $actual->meanExtremeMinimum, 1e-3);
        self::assertSame($expected['half_zone'], $actual->halfZone);
    }

    /** @return iterable<string, array{string}> */
    public static function stations(): iterable
    {
        yield 'north' => ['north'];
        yield 'south' => ['south'];
    }

    public function test_seasons_without_a_freeze_push_the_quantile_to_none(): void
    {
        $sorted = [-INF, -INF, 200.0, 210.0, 220.0];
        self::assertNull(Quantile::of($sorted, 0.4), 'between −∞ and 200');
        self::assertSame(200.0, Quantile::of($sorted, 0.5));
        self::assertSame(220.0, Quantile::of($sorted, 0.99), 'clamped at the last');
        self::assertNull(Quantile::of([], 0.5));
    }

    public function test_too_few_values_have_no_interval(): void
    {
        self::assertSame([null, null], Quantile::rankInterval(4, 0.5));
        self::assertSame([1, 5], Quantile::rankInterval(5, 0.5));
    }

    public function test_a_season_counts_from_350_days_and_freezes_at_the_threshold_itself(): void
    {
        $first = Day::of(2000, 7, 15);
        $values = array_fill(0, 730, 5.0);
        $values[100] = 0.0;
        $values[250] = -1.0;
        $record = static fn (array $v): DailyRecord => new DailyRecord($first, array_values($v), array_fill(0, 730, 10.0));
        $north = Latitude::of(50);
        $whole = FreezeStatistics::of($record($values), $north, 0.0);
        self::assertSame([2001, 2002], array_column($whole->seasons, 'season'));
        self::assertSame([100, 250], [$whole->seasons[0]->first, $whole->seasons[0]->last]);
        self::assertNull($whole->seasons[1]->last);

        $missing = array_replace($values, array_fill(10, 16, null));
        self::assertSame([2002], array_column(FreezeStatistics::of($record($missing), $north, 0.0)->seasons, 'season'));
        self::assertSame([2001], array_column(FreezeStatistics::of($record($values), $north, 0.0, null, 2001)->seasons, 'season'));
        self::assertTrue($whole->isShort());
    }

    public function test_a_steady_shift_is_seen_as_a_trend(): void
    {
        $years = range(2000, 2019);
        $trend = Trend::of($years, array_map(static fn (int $y): float => 300 - 0.5 * ($y - 2000), $years));
        self::assertNotNull($trend);
        self::assertEqualsWithDelta(-5.0, $trend->daysPerDecade, 1e-9);
        self::assertLessThan(1e-6, $trend->p);
        self::assertNull(Trend::of([2000, 2001], [1.0, 2.0]));
    }
}
