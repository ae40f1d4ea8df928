<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\Median;

/**
 * Whether a date is shifting: Theil–Sen slope and the two-sided Mann–Kendall test, corrected for ties and continuity.
 *
 * Sen, P. K. (1968), JASA 63, 1379–1389; Kendall, M. G. (1975), Rank Correlation Methods. Shown, never applied.
 */
final readonly class Trend
{
    private function __construct(public float $daysPerDecade, public float $p)
    {
    }

    /** Coefficients of the approximation of erfc, highest power first. */
    private const ERFC = [
        0.17087277,
        -0.82215223,
        1.48851587,
        -1.13520398,
        0.27886807,
        -0.18628806,
        0.09678418,
        0.37409196,
        1.00002368,
        -1.26551223,
    ];

    /**
     * @param  list<int>  $years  ascending
     * @param  list<float>  $values  days, one value per year
     * @return self|null null with fewer than three values
     */
    public static function of(array $years, array $values): ?self
    {
        $n = count($values);
        if ($n < 3) {
            return null;
        }
        $slopes = [];
        $s = 0;
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 1; $j < $n; $j++) {
                $slopes[] = ($values[$j] - $values[$i]) / ($years[$j] - $years[$i]);
                $s += $values[$j] <=> $values[$i];
            }
        }
        $variance = $n * ($n - 1) * (2 * $n + 5);
        foreach (array_count_values(array_map('strval', $values)) as $ties) {
            $variance -= $ties * ($ties - 1) * (2 * $ties + 5);
        }
        $variance /= 18;
        $z = $s === 0 || $variance <= 0 ? 0.0 : ($s - ($s <=> 0)) / sqrt($variance);

        return new self(Median::of($slopes) * 10, self::twoSided(abs($z)));
    }

    /** @return float chance that a standard normal value lies outside ±z; error below 1.2e−7 (Press et al., erfc) */
    private static function twoSided(float $z): float
    {
        $x = $z / M_SQRT2;
        $t = 1 / (1 + 0.5 * $x);
        $polynomial = 0.0;
        foreach (self::ERFC as $coefficient) {
            $polynomial = $polynomial * $t + $coefficient;
        }

        return min(1.0, $t * exp(-$x * $x + $polynomial));
    }
}
