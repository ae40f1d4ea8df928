<?php

declare(strict_types=1);

namespace Anthesis\Verification;

/**
 * Whether deciding by this season's counts did better than deciding by the calendar alone.
 *
 * The decision is to go if at least the confidence level's share comes to harvest, and otherwise to hold. It was right if going gave a
 * harvest, or holding avoided a loss.
 *
 * A plain document, ready for JSON: `cases`; `brier` and `brier_of_record`: mean of (share − outcome)², null without a case; `skill`: one
 * minus the first over the second, null if the record was never wrong; `right` and `right_of_record`: decisions that were.
 *
 * @phpstan-import-type Morning from SeasonMornings
 *
 * @phpstan-type Sum array{cases: int, brier: float|null, brier_of_record: float|null, skill: float|null, right: int, right_of_record: int}
 * @phpstan-type Sheet array{total: Sum, months: list<array{month: int, ...}>, crops: list<array{crop: string, route: string, ...}>}
 */
final class HoldOrGoRecord
{
    /**
     * @param  list<array<string, list<Morning>>>  $years  as SeasonMornings has them
     * @param  float  $share  of the confidence level
     * @return Sheet crops by what they gained, most first
     */
    public static function of(array $years, float $share): array
    {
        $all = $months = $crops = [];
        foreach ($years as $year) {
            foreach ($year as $of => $mornings) {
                foreach ($mornings as $morning) {
                    $all[] = $morning;
                    $months[$morning['month']][] = $morning;
                    $crops[$of][] = $morning;
                }
            }
        }
        ksort($months);
        $rows = [];
        foreach ($crops as $of => $mornings) {
            [$crop, $route] = explode(' ', $of);
            $rows[] = ['crop' => $crop, 'route' => $route] + self::sum($mornings, $share);
        }
        usort(
            $rows,
            static fn (array $a, array $b): int => [$b['skill'] ?? 0.0, $a['crop'], $a['route']] <=> [
                $a['skill'] ?? 0.0,
                $b['crop'],
                $b['route'],
            ],
        );

        return [
            'total' => self::sum($all, $share),
            'months' => array_map(
                static fn (int $month): array => ['month' => $month] + self::sum($months[$month], $share),
                array_keys($months),
            ),
            'crops' => $rows,
        ];
    }

    /**
     * @param  list<Morning>  $mornings
     * @return Sum
     */
    private static function sum(array $mornings, float $share): array
    {
        $brier = $ofRecord = 0.0;
        $right = $rightOfRecord = 0;
        foreach ($mornings as $morning) {
            $brier += ($morning['share'] - $morning['came']) ** 2;
            $ofRecord += ($morning['own'] - $morning['came']) ** 2;
            $came = $morning['came'] === 1;
            $right += ($morning['share'] >= $share) === $came ? 1 : 0;
            $rightOfRecord += ($morning['own'] >= $share) === $came ? 1 : 0;
        }
        $cases = count($mornings);

        return [
            'cases' => $cases,
            'brier' => $cases === 0 ? null : round($brier / $cases, 4),
            'brier_of_record' => $cases === 0 ? null : round($ofRecord / $cases, 4),
            'skill' => $ofRecord > 0.0 ? round(1 - $brier / $ofRecord, 4) : null,
            'right' => $right,
            'right_of_record' => $rightOfRecord,
        ];
    }
}
