<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Words\Phrase;

/**
 * A probe on its way to the temperature of the soil around it.
 *
 * It follows Newton's law of cooling, T(t) = T∞ + (T₀ − T∞)·e^(−t/τ). τ is searched for, and T∞ and T₀ follow by least squares. How sure T∞
 * is comes from the linearized fit with all three uncertain, and no figure counts as more exact than its last digit. Figures that still
 * move along a straight line have no end that can be told.
 */
final readonly class Settling
{
    /** With fewer, nothing can be said about how sure they are: three are fitted exactly. */
    public const LEAST_FIGURES = 4;

    /** Settled: no more than this to go, °C. */
    private const TO_GO = 0.2;

    /** Settled: known to within this, °C. */
    private const SURE = 0.3;

    /** What a soil thermometer can show, °C. */
    private const RANGE = [-40.0, 80.0];

    /** The last digit a probe shows, °C. */
    private const DIGIT = 0.1;

    /** Figures that differ by no more than this are steady, °C. */
    private const STILL = 0.15;

    /** A time constant longer than this many times the figures' time span cannot be told from a straight line. */
    private const LONGEST = 3.0;

    /** Steps of the search: first evenly in the logarithm, then around the best one. */
    private const STEPS = 60;

    private const REFINEMENTS = 4;

    /** Student's t, 95%, for one to five degrees of freedom. */
    private const STUDENT = [6.3138, 2.92, 2.3534, 2.1318, 2.015];

    /** The same for the normal distribution. */
    private const NORMAL = 1.6449;

    /**
     * @param  float  $celsius  where it settles, T∞, °C
     * @param  float|null  $within  half the width of its 90% confidence interval, °C; null: cannot be determined
     * @param  float  $timeConstant  τ, s; 0 if the figures are steady
     * @param  float  $toGo  what is left to reach T∞ at the last figure, °C
     */
    private function __construct(public float $celsius, public ?float $within, public float $timeConstant, public float $toGo)
    {
    }

    /**
     * @param  list<array{float, float}>  $figures  seconds since the probe was inserted, ascending, and what it showed, °C
     *
     * @throws ReadingsRefused if there are too few, time does not advance, or no thermometer shows such a figure
     */
    public static function of(array $figures): self
    {
        $figures = self::checked($figures);
        $celsius = array_column($figures, 1);
        if (max($celsius) - min($celsius) <= self::STILL) {
            $mean = array_sum($celsius) / count($celsius);

            return new self(
                $mean,
                (self::student(count($celsius) - 1) * self::deviation(array_map(static fn (float $c): float => $c - $mean, $celsius), 1)) /
                    sqrt(count($celsius)),
                0.0,
                0.0,
            );
        }
        $timeConstant = self::timeConstant($figures);
        [$end, $difference, $left] = self::fit($figures, $timeConstant);
        $error = self::errorOfEnd($figures, $timeConstant, $difference);
        $last = $figures[count($figures) - 1][0] - $figures[0][0];
        $within = $error === null ? null : self::student(count($figures) - 3) * $error * self::deviation($left, 3);

        return new self($end, $within, $timeConstant, abs($difference) * exp(-$last / $timeConstant));
    }

    /** Whether it is settled enough to be written down. */
    public function isSettled(): bool
    {
        return $this->within !== null && $this->within <= self::SURE && $this->toGo <= self::TO_GO;
    }

    /**
     * @param  list<array{float, float}>  $figures
     * @return non-empty-list<array{float, float}>
     */
    private static function checked(array $figures): array
    {
        if (count($figures) < self::LEAST_FIGURES) {
            throw new ReadingsRefused(Phrase::of('error.settling.too-few', ['figures' => count($figures), 'least' => self::LEAST_FIGURES]));
        }
        [$least, $most] = self::RANGE;
        foreach ($figures as $i => [$seconds, $celsius]) {
            if ($seconds < 0.0 || ($i > 0 && $seconds <= $figures[$i - 1][0])) {
                throw new ReadingsRefused(Phrase::of('error.settling.time', ['figure' => $i + 1]));
            }
            if ($celsius < $least || $celsius > $most) {
                throw new ReadingsRefused(
                    Phrase::of('error.settling.range', [
                        'figure' => $i + 1,
                        'celsius' => Phrase::celsius($celsius),
                        'least' => Phrase::celsius($least),
                        'most' => Phrase::celsius($most),
                    ]),
                );
            }
        }

        return $figures;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $figures
     * @return float s, the one with the smallest sum of squares
     */
    private static function timeConstant(array $figures): float
    {
        $span = $figures[count($figures) - 1][0] - $figures[0][0];
        [$low, $high] = [log($span / 50), log($span * self::LONGEST)];
        for ($round = 0; ; $round++) {
            $step = ($high - $low) / self::STEPS;
            $best = [INF, 0.0];
            for ($i = 0; $i <= self::STEPS; $i++) {
                $at = $low + $i * $step;
                $left = self::fit($figures, exp($at))[2];
                $best = min($best, [array_sum(array_map(static fn (float $l): float => $l * $l, $left)), $at]);
            }
            if ($round === self::REFINEMENTS) {
                return exp($best[1]);
            }
            [$low, $high] = [$best[1] - $step, min($best[1] + $step, log($span * self::LONGEST))];
        }
    }

    /**
     * @param  non-empty-list<array{float, float}>  $figures
     * @return array{float, float, list<float>} T∞, T₀ − T∞ at the first figure, and the residual of each, °C
     */
    private static function fit(array $figures, float $timeConstant): array
    {
        $n = count($figures);
        $x = self::shares($figures, $timeConstant);
        $celsius = array_column($figures, 1);
        $meanX = array_sum($x) / $n;
        $mean = array_sum($celsius) / $n;
        $xx = $xy = 0.0;
        foreach ($x as $i => $share) {
            $xx += ($share - $meanX) ** 2;
            $xy += ($share - $meanX) * ($celsius[$i] - $mean);
        }
        $difference = $xy / $xx;
        $end = $mean - $difference * $meanX;

        return [$end, $difference, array_map(static fn (float $share, float $c): float => $c - $end - $difference * $share, $x, $celsius)];
    }

    /**
     * @param  non-empty-list<array{float, float}>  $figures
     * @return non-empty-list<float> e^(−t/τ) of each, with t since the first
     */
    private static function shares(array $figures, float $timeConstant): array
    {
        return array_map(static fn (array $f): float => exp(-($f[0] - $figures[0][0]) / $timeConstant), $figures);
    }

    /**
     * The standard error of T∞ for figures with a deviation of 1 °C: the square root of the first element of (JᵀJ)⁻¹, where the columns of
     * J are the derivatives with respect to T∞, T₀ − T∞, and ln τ.
     *
     * @param  non-empty-list<array{float, float}>  $figures
     * @return float|null null if τ is so large that they hardly differ
     */
    private static function errorOfEnd(array $figures, float $timeConstant, float $difference): ?float
    {
        $span = $figures[count($figures) - 1][0] - $figures[0][0];
        if ($timeConstant > 0.99 * self::LONGEST * $span) {
            return null;
        }
        $n = (float) count($figures);
        $sx = $sxx = $sz = $szz = $sxz = 0.0;
        foreach (self::shares($figures, $timeConstant) as $i => $x) {
            $z = ($difference * $x * ($figures[$i][0] - $figures[0][0])) / $timeConstant;
            $sx += $x;
            $sxx += $x * $x;
            $sz += $z;
            $szz += $z * $z;
            $sxz += $x * $z;
        }
        $minor = $sxx * $szz - $sxz * $sxz;
        $determinant = $n * $minor - $sx * ($sx * $szz - $sxz * $sz) + $sz * ($sx * $sxz - $sxx * $sz);

        return $determinant <= 0.0 ? null : sqrt($minor / $determinant);
    }

    /**
     * @param  list<float>  $left  residuals of a fit
     * @param  int  $fitted  parameters of the fit
     * @return float °C, at least that of figures rounded to their last digit
     */
    private static function deviation(array $left, int $fitted): float
    {
        return sqrt(
            max(self::DIGIT ** 2 / 12, array_sum(array_map(static fn (float $l): float => $l * $l, $left)) / (count($left) - $fitted)),
        );
    }

    /**
     * Student's t, 95%: from six degrees of freedom on by its expansion about the normal one, Abramowitz, M. and Stegun, I. A. (1964),
     * Handbook of Mathematical Functions, 26.7.5, to the third term.
     */
    private static function student(int $freedom): float
    {
        $z = self::NORMAL;

        return self::STUDENT[$freedom - 1] ??
            $z +
                ($z ** 3 + $z) / (4 * $freedom) +
                (5 * $z ** 5 + 16 * $z ** 3 + 3 * $z) / (96 * $freedom ** 2) +
                (3 * $z ** 7 + 19 * $z ** 5 + 17 * $z ** 3 - 15 * $z) / (384 * $freedom ** 3);
    }
}
