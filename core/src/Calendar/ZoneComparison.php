<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/**
 * Zones side by side: risk dates, season, heat, soil, and hardiness of each, and which of them the record cannot tell apart.
 *
 * A date tells two zones apart if the 90% intervals of their average last freezes, or of their average first freezes (0 °C, 1 year in 2),
 * do not overlap. If both do, gardeners would not notice the border.
 *
 * @phpstan-import-type Ruler from YearRuler
 * @phpstan-import-type RiskDate from YearRuler
 * @phpstan-import-type Climate from ClimateSheet
 *
 * @phpstan-type Row array{zone: string, seasons: int, last: list<string|null>, first: list<string|null>, free_days: int|null, hot_days: float|null, soil_10: string|null, hardiness: string|null, like: list<string>}
 */
final class ZoneComparison
{
    private const LIGHT_FREEZE = 1;

    private const SOIL = 10.0;

    /**
     * @param  array<string, array{ruler: Ruler, climate: Climate}>  $zones  by slug
     * @return list<Row> longest season first; a zone with hardly any freeze has the longest
     */
    public static function of(array $zones): array
    {
        $rows = [];
        foreach ($zones as $slug => $zone) {
            $freezes = $zone['ruler']['freezes'][self::LIGHT_FREEZE];
            $soil = array_column($zone['climate']['sites'][0]['soil_dates'], 'one_year_in_two', 'celsius');
            $rows[] = [
                'zone' => $slug,
                'seasons' => $zone['ruler']['seasons'],
                'last' => array_column($freezes['last'], 'date'),
                'first' => array_column($freezes['first'], 'date'),
                'free_days' => $freezes['free_days'][0],
                'hot_days' => $zone['climate']['heat'][0]['days_a_year'],
                'soil_10' => $soil[(string) self::SOIL] ?? null,
                'hardiness' => $zone['climate']['hardiness']['half_zone'] ?? null,
                'like' => array_values(
                    array_filter(
                        array_keys($zones),
                        static fn (string $other): bool => $other !== $slug && self::alike($zone['ruler'], $zones[$other]['ruler']),
                    ),
                ),
            ];
        }
        usort(
            $rows,
            static fn (array $a, array $b): int => [$b['free_days'] ?? YearDay::YEAR, $a['zone']] <=> [
                $a['free_days'] ?? YearDay::YEAR,
                $b['zone'],
            ],
        );

        return $rows;
    }

    /**
     * @param  Ruler  $one
     * @param  Ruler  $other
     */
    private static function alike(array $one, array $other): bool
    {
        if ($one['starts'] !== $other['starts']) {
            return false;
        }
        foreach (['last', 'first'] as $end) {
            if (
                ! self::overlap(
                    $one['freezes'][self::LIGHT_FREEZE][$end][0],
                    $other['freezes'][self::LIGHT_FREEZE][$end][0],
                    $one['starts'],
                )
            ) {
                return false;
            }
        }

        return true;
    }

    /**
     * An interval without an end reaches to the other's end; without any date, nothing can tell the zones apart.
     *
     * @param  RiskDate  $a
     * @param  RiskDate  $b
     */
    private static function overlap(array $a, array $b, string $starts): bool
    {
        if ($a['date'] === null || $b['date'] === null) {
            return $a['date'] === $b['date'];
        }

        [$from, $to] = [self::offset($a['earliest'] ?? $a['date'], $starts), self::offset($a['latest'] ?? $a['date'], $starts)];

        return $from <= self::offset($b['latest'] ?? $b['date'], $starts) &&
            self::offset($b['earliest'] ?? $b['date'], $starts) <= $to;
    }

    /** Days from the cold season's first day, so dates around the new year are in order. */
    private static function offset(string $monthDay, string $starts): int
    {
        $season = Latitude::of($starts === '01-01' ? 1 : -1)->coldSeasonStart();

        return $season->daysUntil(YearDay::fromIso($monthDay));
    }
}
