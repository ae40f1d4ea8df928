<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Replay\Replay;
use Anthesis\Window\ProofStandard;

/**
 * Whether the windows of one crop kept their promise at a place, at each confidence level.
 *
 * A plain document, ready for JSON. By confidence level and way of growing: the seasons inside the windows made from the other years, their
 * `harvests`, and the sum of what they were `promised`; the same by year and by month; and what they were `lost` to. For all seasons,
 * whatever the level: five `bins` of promises, with seasons, sum of promises, harvests, and judged years with a season in it. `skill`
 * compares with the other years' mean.
 *
 * @phpstan-type Counted array{int, int, float}
 * @phpstan-type Promises array{route: string, act: string, runs: int, harvests: int, promised: float, skill: float|null, brier: float|null, judged: int, bins: list<array{int, float, int, int}>, years: array<int, Counted>, months: array<int, Counted>, lost: array<string, int>}
 */
final class CropPromises
{
    /**
     * @param  Place  $place  at the site it is grown at
     * @return array<string, list<Promises>> by confidence level, one entry per way of growing
     */
    public static function of(Place $place, Crop $crop): array
    {
        $replay = Replay::ofPlace($place);
        $standards = ProofStandard::cases();
        $shares = array_map(static fn (ProofStandard $standard): float => $standard->share(), $standards);
        $told = array_fill_keys(array_column($standards, 'value'), []);
        foreach ($crop->routes as $route) {
            foreach (WindowPromises::atEach($replay->runs($crop, $route), $shares) as $i => $promises) {
                $told[$standards[$i]->value][] = ['route' => $route->value, 'act' => $crop->act($route)->value] + self::told($promises);
            }
        }

        return $told;
    }

    /** @return array{runs: int, harvests: int, promised: float, skill: float|null, brier: float|null, judged: int, bins: list<array{int, float, int, int}>, years: array<int, Counted>, months: array<int, Counted>, lost: array<string, int>} */
    private static function told(WindowPromises $promises): array
    {
        return [
            'runs' => $promises->runs,
            'harvests' => $promises->harvests,
            'promised' => round($promises->runs * ($promises->promised ?? 0.0), 4),
            'skill' => $promises->skill === null ? null : round($promises->skill, 4),
            'brier' => $promises->brier === null ? null : round($promises->brier, 4),
            'judged' => $promises->judged,
            'bins' => array_map(
                static fn (array $bin, int $years): array => [$bin[0], round($bin[0] * ($bin[1] ?? 0.0), 4), $bin[2], $years],
                $promises->bins,
                $promises->binYears,
            ),
            'years' => array_map(self::rounded(...), $promises->years),
            'months' => array_map(self::rounded(...), $promises->months),
            'lost' => $promises->lost,
        ];
    }

    /**
     * @param  Counted  $counted
     * @return Counted
     */
    private static function rounded(array $counted): array
    {
        return [$counted[0], $counted[1], round($counted[2], 4)];
    }
}
