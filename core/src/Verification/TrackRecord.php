<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Record\Tolerance;

/**
 * What the windows of a place promised, and the results: all crops together, by how much was promised, by season, family, and decade, and
 * crop by crop, those that fell short most first.
 *
 * Plantings on neighboring days share their weather, so bands and tests count each crop once a year: a year kept its promise if at least
 * half of its plantings inside the windows came to harvest.
 *
 * A plain document, ready for JSON. Shares are 0 to 1; `promised` and `kept` are null without a season.
 *
 * @phpstan-import-type Promises from CropPromises
 *
 * @phpstan-type Sum array{runs: int, harvests: int, promised: float|null, kept: float|null}
 * @phpstan-type Bin array{runs: int, cases: int, promised: float|null, kept: float|null, low: float|null, high: float|null}
 * @phpstan-type Span array{kept: int, years: int}
 * @phpstan-type CropRow array{crop: string, name: string, family: string, route: string, act: string, runs: int, harvests: int, promised: float|null, kept: float|null, years: int, low: float, high: float, short: bool, lately: Span, before: Span, turned: string|null, p: float, lost: list<array{outcome: string, runs: int}>}
 * @phpstan-type Sheet array{total: Sum, crops_judged: int, bins: list<Bin>, seasons: list<array{first_month: int, ...}>, families: list<array{family: string, ...}>, decades: list<array{decade: int, ...}>, crops: list<CropRow>}
 */
final class TrackRecord
{
    /** Years that are compared with those before. */
    public const LATELY = 15;

    /** Chance below which a difference is reported. */
    private const TELLING = 0.05;

    /** A year kept its promise if at least this share of its plantings did. */
    private const KEPT = 0.5;

    /** Number of outcomes named for each crop. */
    private const OUTCOMES = 2;

    /** First months of the seasons; December to February first. */
    private const SEASONS = [12, 3, 6, 9];

    /**
     * @param  list<array{crop: string, name: string, family: string, promises: list<Promises>}>  $crops  at one confidence level
     * @return Sheet
     */
    public static function of(array $crops): array
    {
        $rows = $seasons = $families = $decades = $bins = [];
        foreach ($crops as $crop) {
            foreach ($crop['promises'] as $promises) {
                foreach ($promises['bins'] as $i => [$runs, $sum, $harvests, $years]) {
                    $bin = $bins[$i] ?? [0, 0.0, 0, 0];
                    $bins[$i] = [$bin[0] + $runs, $bin[1] + $sum, $bin[2] + $harvests, $bin[3] + $years];
                }
                if ($promises['runs'] === 0) {
                    continue;
                }
                $rows[] = self::row($crop, $promises);
                $families[$crop['family']][] = [$promises['runs'], $promises['harvests'], $promises['promised']];
                foreach ($promises['months'] as $month => $counted) {
                    $seasons[intdiv($month % 12, 3)][] = $counted;
                }
                foreach ($promises['years'] as $year => $counted) {
                    $decades[10 * intdiv($year, 10)][] = $counted;
                }
            }
        }
        ksort($decades);
        ksort($families);
        ksort($seasons);
        usort(
            $rows,
            static fn (array $a, array $b): int => [$a['kept'] - $a['promised'], $a['name'], $a['route']] <=> [
                $b['kept'] - $b['promised'],
                $b['name'],
                $b['route'],
            ],
        );

        return [
            'total' => self::sum(array_merge(...array_values($families))),
            'crops_judged' => count(array_unique(array_column($rows, 'crop'))),
            'bins' => array_map(self::bin(...), array_values($bins)),
            'seasons' => array_map(
                static fn (int $season): array => ['first_month' => self::SEASONS[$season]] + self::sum($seasons[$season]),
                array_keys($seasons),
            ),
            'families' => array_map(
                static fn (string $family): array => ['family' => $family] + self::sum($families[$family]),
                array_keys($families),
            ),
            'decades' => array_map(
                static fn (int $decade): array => ['decade' => $decade] + self::sum($decades[$decade]),
                array_keys($decades),
            ),
            'crops' => $rows,
        ];
    }

    /**
     * @param  list<array{int, int, float}>  $counted
     * @return Sum
     */
    private static function sum(array $counted): array
    {
        $runs = array_sum(array_column($counted, 0));
        $harvests = array_sum(array_column($counted, 1));

        return [
            'runs' => $runs,
            'harvests' => $harvests,
            'promised' => $runs === 0 ? null : round(array_sum(array_column($counted, 2)) / $runs, 4),
            'kept' => $runs === 0 ? null : round($harvests / $runs, 4),
        ];
    }

    /**
     * @param  array{int, float, int, int}  $bin
     * @return Bin
     */
    private static function bin(array $bin): array
    {
        [$runs, $sum, $harvests, $cases] = $bin;
        [$low, $high] = $runs === 0 ? [null, null] : Binomial::band($cases, $sum / $runs);

        return ['runs' => $runs, 'cases' => $cases] + array_slice(
            self::sum([[$runs, $harvests, $sum]]),
            2,
        ) + ['low' => $low, 'high' => $high];
    }

    /**
     * @param  array{crop: string, name: string, family: string, promises: list<Promises>}  $crop
     * @param  Promises  $promises
     * @return CropRow
     */
    private static function row(array $crop, array $promises): array
    {
        $years = $promises['years'];
        ksort($years);
        $lately = array_slice($years, -self::LATELY, null, true);
        [$now, $then] = [self::keptYears($lately), self::keptYears(array_diff_key($years, $lately))];
        $p = Binomial::differs([$now['kept'], $now['years']], [$then['kept'], $then['years']]);
        [$low, $high] = Binomial::band(count($years), $promises['promised'] / $promises['runs']);
        $kept = $promises['harvests'] / $promises['runs'];
        $lost = $promises['lost'];
        arsort($lost);
        $isTelling = $then['years'] > 0 && $p < self::TELLING;

        return [
            'crop' => $crop['crop'],
            'name' => $crop['name'],
            'family' => $crop['family'],
            'route' => $promises['route'],
            'act' => $promises['act'],
            ...self::sum([[$promises['runs'], $promises['harvests'], $promises['promised']]]),
            'years' => count($years),
            'low' => $low,
            'high' => $high,
            // A partial year counts as kept, because a band is made of whole years.
            'short' => ceil($kept * count($years) - Tolerance::SUMS) < $low * count($years) - Tolerance::SUMS,
            'lately' => $now,
            'before' => $then,
            'turned' => ! $isTelling
                    ? null
                    : ($now['kept'] * $then['years'] > $then['kept'] * $now['years'] ? 'better' : 'worse'),
            'p' => round($p, 4),
            'lost' => array_map(
                static fn (string $outcome): array => ['outcome' => $outcome, 'runs' => $lost[$outcome]],
                array_slice(array_keys($lost), 0, self::OUTCOMES),
            ),
        ];
    }

    /**
     * @param  array<int, array{int, int, float}>  $years
     * @return Span
     */
    private static function keptYears(array $years): array
    {
        return [
            'kept' => count(array_filter($years, static fn (array $of): bool => $of[1] >= self::KEPT * $of[0])),
            'years' => count($years),
        ];
    }
}
