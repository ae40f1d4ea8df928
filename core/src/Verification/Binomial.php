<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use InvalidArgumentException;

/** Exact chances of counts of kept promises. */
final class Binomial
{
    /** Chance left outside a band, half on each side. */
    private const OUTSIDE = 0.1;

    /** A probability this much larger still counts as equal, because floats are added up. */
    private const EQUAL = 1 + 1e-9;

    /**
     * @param  int  $cases  at least 1
     * @param  float  $promise  0 to 1, for each
     * @return array{float, float} shares of the cases that lie in the middle 90% if the promise holds: outside it, at most one count in
     *   twenty falls on each side
     *
     * @throws InvalidArgumentException without a case
     */
    public static function band(int $cases, float $promise): array
    {
        if ($cases < 1) {
            throw new InvalidArgumentException('A band needs at least one case.');
        }
        $chances = self::chances($cases, $promise);
        $low = $high = null;
        $sum = 0.0;
        foreach ($chances as $kept => $chance) {
            $sum += $chance;
            $low ??= $sum > self::OUTSIDE / 2 ? $kept : null;
            $high ??= $sum >= 1 - self::OUTSIDE / 2 ? $kept : null;
        }

        return [($low ?? $cases) / $cases, ($high ?? $cases) / $cases];
    }

    /**
     * Fisher's exact test, two-sided: how likely a difference this large between two counts is if both keep their promise equally well.
     *
     * @param  array{int, int}  $one  kept, and cases
     * @param  array{int, int}  $other  kept, and cases
     * @return float 0 to 1; 1 if one of them has no case
     */
    public static function differs(array $one, array $other): float
    {
        [$keptOne, $casesOne] = $one;
        [$keptOther, $casesOther] = $other;
        $kept = $keptOne + $keptOther;
        $all = $casesOne + $casesOther;
        $of = static fn (int $k): float => exp(
            self::logChoose($casesOne, $k) + self::logChoose($casesOther, $kept - $k) - self::logChoose($all, $kept),
        );
        $seen = $of($keptOne);
        $p = 0.0;
        for ($k = max(0, $kept - $casesOther), $most = min($kept, $casesOne); $k <= $most; $k++) {
            $chance = $of($k);
            $p += $chance <= $seen * self::EQUAL ? $chance : 0.0;
        }

        return min(1.0, $p);
    }

    /** @return non-empty-list<float> of 0 to all of the cases being kept */
    private static function chances(int $cases, float $promise): array
    {
        if ($promise <= 0.0 || $promise >= 1.0) {
            return array_map(static fn (int $kept): float => $kept === ($promise >= 1.0 ? $cases : 0) ? 1.0 : 0.0, range(0, $cases));
        }

        [$held, $broken] = [log($promise), log(1 - $promise)];
        $chances = [exp($cases * $broken)];
        // Logarithm of the number of ways to choose as many of the cases.
        $choose = 0.0;
        for ($kept = 1; $kept <= $cases; $kept++) {
            $choose += log(($cases - $kept + 1) / $kept);
            $chances[] = exp($choose + $kept * $held + ($cases - $kept) * $broken);
        }

        return $chances;
    }

    private static function logChoose(int $of, int $some): float
    {
        $log = 0.0;
        for ($i = 1, $few = min($some, $of - $some); $i <= $few; $i++) {
            $log += log(($of - $few + $i) / $i);
        }

        return $log;
    }
}
