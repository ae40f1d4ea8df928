<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\Quantile;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Ground;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Workable;

/**
 * What a record says about a place's water: rain by month and week compared with what the air takes, dry spells, snow, and when each kind
 * of ground can first be worked.
 *
 * A plain document, ready for JSON. Days of the year are "MM-DD"; mm, days.
 *
 * - `months`: January first; totals of the months with precipitation on record for nine of ten days: their mean and 10, 50, 90%; mean
 *   number of days with 1 mm or more
 * - `weeks`: 52 of the ruler's year, each of seven sow days: mean rain, and mean reference evapotranspiration
 * - `dry_spells`: by season of three months, the longest run of days under 1 mm that one year in 2, 5, and 10 reaches or exceeds
 * - `grounds`: by kind of ground, each year's first workable day (null: none in its half-year), their 10, 50, and 90%, and the day by which
 *   the confidence level's share of years has had one; `share`: of the years, by sow day, in which it can be worked
 *
 * @phpstan-type Month array{month: int, years: int, mean: float|null, low: float|null, middle: float|null, high: float|null, wet_days: float|null}
 * @phpstan-type DrySpell array{months: list<int>, years: int, one_in_2: int|null, one_in_5: int|null, one_in_10: int|null}
 * @phpstan-type GroundSheet array{ground: string, years: array<int, string|null>, early: string|null, middle: string|null, late: string|null, at_standard: string|null, share: list<float|null>}
 * @phpstan-type Rain array{months: list<Month>, weeks: list<array{first: string, rain: float, et0: float}>, dry_spells: list<DrySpell>, snow_days: float|null, grounds: list<GroundSheet>}
 */
final class RainSheet
{
    /** mm from which a day counts as wet. */
    private const WET = 1.0;

    private const WEEKS = 52;

    /**
     * @param  DailyRecord  $record  after quality control
     * @param  float  $share  of years, at the confidence level
     * @return Rain|null null without rain on record
     */
    public static function of(DailyRecord $record, Latitude $latitude, float $share): ?array
    {
        if ($record->rain === null) {
            return null;
        }
        $water = WaterDays::of($record, $latitude);

        return [
            'months' => self::months($record),
            'weeks' => self::weeks($record, $water, $latitude),
            'dry_spells' => self::drySpells($record, $latitude),
            'snow_days' => self::snowDays($water),
            'grounds' => array_map(
                static fn (string $ground): array => self::ground(Workable::of($water, Ground::named($ground)), $ground, $latitude, $share),
                Ground::names(),
            ),
        ];
    }

    /**
     * @param  array{weeks: non-empty-list<array{first: string, rain: float, et0: float}>, ...}  $rain  a sheet
     * @param  YearDay  $start  of the place's year
     * @return array{rain: float, et0: float} of the week that holds a day; a year's last day or two belong to its last week
     */
    public static function week(array $rain, YearDay $start, YearDay $day): array
    {
        $week = $rain['weeks'][min(self::WEEKS - 1, intdiv($start->daysUntil($day), 7))];

        return ['rain' => $week['rain'], 'et0' => $week['et0']];
    }

    /** @return list<Month> */
    private static function months(DailyRecord $record): array
    {
        $totals = $wet = $known = [];
        foreach ($record->rain ?? [] as $i => $rain) {
            [$year, $month] = Day::civil($record->first->number + $i);
            if ($rain !== null) {
                $totals[$month][$year] = ($totals[$month][$year] ?? 0.0) + $rain;
                $known[$month][$year] = ($known[$month][$year] ?? 0) + 1;
                $wet[$month][$year] = ($wet[$month][$year] ?? 0) + ($rain >= self::WET ? 1 : 0);
            }
        }
        $months = [];
        for ($month = 1; $month <= 12; $month++) {
            $of = array_filter(
                $totals[$month] ?? [],
                static fn (int $year): bool => 10 * $known[$month][$year] >= 9 * Day::daysInMonth($year, $month),
                ARRAY_FILTER_USE_KEY,
            );
            $wetDays = array_intersect_key($wet[$month] ?? [], $of);
            sort($of);
            $n = count($of);
            $months[] = [
                'month' => $month,
                'years' => $n,
                'mean' => $n === 0 ? null : round(array_sum($of) / $n, 1),
                'low' => self::rounded(Quantile::of($of, 0.1)),
                'middle' => self::rounded(Quantile::of($of, 0.5)),
                'high' => self::rounded(Quantile::of($of, 0.9)),
                'wet_days' => $n === 0 ? null : round(array_sum($wetDays) / $n, 1),
            ];
        }

        return $months;
    }

    /** @return list<array{first: string, rain: float, et0: float}> */
    private static function weeks(DailyRecord $record, WaterDays $water, Latitude $latitude): array
    {
        $rain = $et0 = $rainDays = $days = array_fill(1, YearDay::YEAR, 0.0);
        foreach ($water->et0 as $i => $taken) {
            $day = Day::yearDayOf($record->first->number + $i);
            $fallen = $record->rain[$i] ?? null;
            if ($fallen !== null) {
                $rain[$day] += $fallen;
                $rainDays[$day]++;
            }
            if ($water->isTold[$i]) {
                $et0[$day] += $taken;
                $days[$day]++;
            }
        }
        $weeks = [];
        for ($week = 0; $week < self::WEEKS; $week++) {
            $first = $latitude->yearStart()->plus(7 * $week);
            $sums = [0.0, 0.0];
            for ($i = 0; $i < 7; $i++) {
                $day = $first->plus($i)->number;
                $sums[0] += $rainDays[$day] > 0 ? $rain[$day] / $rainDays[$day] : 0.0;
                $sums[1] += $days[$day] > 0 ? $et0[$day] / $days[$day] : 0.0;
            }
            $weeks[] = ['first' => $first->iso(), 'rain' => round($sums[0], 1), 'et0' => round($sums[1], 1)];
        }

        return $weeks;
    }

    /** @return list<DrySpell> of winter, spring, summer, and fall, December first in the north */
    private static function drySpells(DailyRecord $record, Latitude $latitude): array
    {
        $longest = $running = $known = [];
        foreach ($record->rain ?? [] as $i => $rain) {
            [$year, $month] = Day::civil($record->first->number + $i);
            // A season is named by its first month; December belongs to the winter that ends in the next year.
            $season = intdiv($month % 12, 3);
            $of = $month === 12 ? $year + 1 : $year;
            $known[$season][$of] = ($known[$season][$of] ?? 0) + ($rain === null ? 0 : 1);
            $running[$season][$of] = $rain !== null && $rain < self::WET ? ($running[$season][$of] ?? 0) + 1 : 0;
            $longest[$season][$of] = max($longest[$season][$of] ?? 0, $running[$season][$of]);
        }
        $spells = [];
        foreach (! $latitude->isNorth() ? [2, 3, 0, 1] : [0, 1, 2, 3] as $season) {
            $of = array_filter($longest[$season] ?? [], static fn (int $year): bool => $known[$season][$year] >= 82, ARRAY_FILTER_USE_KEY);
            sort($of);
            $at = static fn (float $p): ?int => ($q = Quantile::of($of, $p)) === null ? null : (int) round($q);
            $spells[] = [
                'months' => array_map(static fn (int $i): int => ((3 * $season + $i + 11) % 12) + 1, [0, 1, 2]),
                'years' => count($of),
                'one_in_2' => $at(0.5),
                'one_in_5' => $at(0.8),
                'one_in_10' => $at(0.9),
            ];
        }

        return $spells;
    }

    private static function snowDays(WaterDays $water): ?float
    {
        $told = count(array_filter($water->isTold));

        return $told === 0 ? null : round((count(array_filter($water->covered)) / $told) * 365.25, 1);
    }

    /** @return GroundSheet */
    private static function ground(Workable $workable, string $ground, Latitude $latitude, float $share): array
    {
        $first = $workable->first($latitude);
        $midwinter = $latitude->yearStart();
        $since = array_map(static fn (?YearDay $day): float|int => $day === null ? INF : $midwinter->daysUntil($day), $first);
        sort($since);
        $at = static fn (float $p): ?string => ($days = Quantile::of($since, $p)) === null
            ? null
            : $midwinter->plus((int) round($days))->iso();

        return [
            'ground' => $ground,
            'years' => array_map(static fn (?YearDay $day): ?string => $day?->iso(), $first),
            'early' => $at(0.1),
            'middle' => $at(0.5),
            'late' => $at(0.9),
            'at_standard' => $at($share),
            'share' => array_map(static fn (?float $s): ?float => $s === null ? null : round($s, 3), $workable->shares()),
        ];
    }

    private static function rounded(?float $value): ?float
    {
        return $value === null ? null : round($value, 1);
    }
}
