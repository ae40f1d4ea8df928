<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\Tolerance;
use InvalidArgumentException;

/**
 * Sample quantiles and their distribution-free confidence interval.
 *
 * Plotting position k/(n+1), linear between order statistics, clamped at the first and last: type 6 of Hyndman, R. J. and
 * Fan, Y. (1996), Sample quantiles in statistical packages, The American Statistician 50, 361–365.
 */
final class Quantile
{
    /** Guards k + fraction against rounding in p·(n+1). */
    private const FUZZ = Tolerance::SUMS;

    /**
     * @param  list<float|int>  $sorted  ascending; may start with −INF and end with +INF
     * @param  float  $p  probability, 0…1
     * @return float|null null if the quantile touches an infinity, or there are no values
     */
    public static function of(array $sorted, float $p): ?float
    {
        $n = count($sorted);
        if ($n === 0) {
            return null;
        }
        $position = min(max($p * ($n + 1), 1.0), (float) $n);
        $k = (int) floor($position + self::FUZZ);
        $fraction = $position - $k;
        $value = $sorted[$k - 1];
        if ($fraction > self::FUZZ) {
            $value += $fraction * ($sorted[$k] - $value);
        }

        return is_finite($value) ? $value : null;
    }

    /**
     * Ranks (1…n) of the order statistics that enclose the p-quantile with 90% confidence, whatever the distribution: lower the largest l
     * with Binom(l−1; n, p) ≤ 0.05, upper the smallest u with Binom(u−1; n, p) ≥ 0.95.
     *
     * @return array{int|null, int|null} null if no such rank exists among n values
     *
     * @throws InvalidArgumentException unless 0 < p < 1
     */
    public static function rankInterval(int $n, float $p): array
    {
        if ($p <= 0.0 || $p >= 1.0) {
            throw new InvalidArgumentException('A rank interval needs a probability between 0 and 1.');
        }
        $lower = null;
        $upper = null;
        $term = (1.0 - $p) ** $n;
        $cumulative = $term;
        for ($rank = 1; $rank <= $n; $rank++) {
            // $cumulative is Binom(rank − 1; n, p)
            if ($cumulative <= 0.05) {
                $lower = $rank;
            }
            if ($upper === null && $cumulative >= 0.95) {
                $upper = $rank;
            }
            $term *= ((($n - $rank + 1) / $rank) * $p) / (1.0 - $p);
            $cumulative += $term;
        }

        return [$lower, $upper];
    }
}
