<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Climate\Quantile;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Window\SowingWindow;

/**
 * How the log's plantings inside and outside the windows turned out, and the harvests that were promised.
 *
 * A plain document, ready for JSON. `inside` and `outside` count plantings `harvested`, `lost` (and to what: `causes`), and `open`, about
 * which nothing was written yet. `picks` counts first harvests of plantings inside, how many fell within the promised harvest, and the
 * median number of days by which the others missed it (null: none did).
 *
 * @phpstan-type Side array{harvested: int, lost: int, open: int, causes: array<string, int>}
 * @phpstan-type Sheet array{inside: Side, outside: Side, picks: array{all: int, within: int, median_miss: float|null}}
 */
final class LoggedPromises
{
    private const NONE = ['harvested' => 0, 'lost' => 0, 'open' => 0, 'causes' => []];

    /**
     * @param  list<LoggedCase>  $cases
     * @return Sheet
     */
    public static function of(array $cases): array
    {
        $sides = ['inside' => self::NONE, 'outside' => self::NONE];
        $all = $within = 0;
        $misses = [];
        foreach ($cases as $case) {
            $window = self::windowOf($case);
            $side = $window === null ? 'outside' : 'inside';
            $became = match (true) {
                $case->firstPicked !== null => 'harvested',
                $case->lostTo !== null => 'lost',
                default => 'open',
            };
            $sides[$side][$became]++;
            if ($became === 'lost') {
                $sides[$side]['causes'][$case->lostTo] = ($sides[$side]['causes'][$case->lostTo] ?? 0) + 1;
            }
            $promised = $window === null ? null : $case->harvests[$window] ?? null;
            if ($promised !== null && $case->firstPicked !== null) {
                $all++;
                $miss = self::miss($promised, $case->on, $case->firstPicked);
                $miss === 0 ? $within++ : ($misses[] = $miss);
            }
        }
        sort($misses);

        return $sides + ['picks' => ['all' => $all, 'within' => $within, 'median_miss' => Quantile::of($misses, 0.5)]];
    }

    /** @return int|null the window a planting lies in; null: none */
    private static function windowOf(LoggedCase $case): ?int
    {
        foreach ($case->windows as $i => $window) {
            if ($window->contains($case->on->yearDay())) {
                return $i;
            }
        }

        return null;
    }

    /** @return int days by which a first harvest missed a promised harvest, before or after; 0: it did not */
    private static function miss(SowingWindow $promised, Day $on, Day $picked): int
    {
        if ($picked->number - $on->number < YearDay::YEAR && ($promised->isAllYear() || $promised->contains($picked->yearDay()))) {
            return 0;
        }
        // The promised harvest after the planting.
        $first = $on->plus($on->yearDay()->daysUntil($promised->first));

        return min(abs($picked->number - $first->number), abs($picked->number - $first->number - $promised->days + 1));
    }
}
