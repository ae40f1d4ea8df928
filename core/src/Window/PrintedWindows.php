<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;

/**
 * Windows as a calendar prints them. Two that are a few days apart, with hardly a lower chance between them, are one window. A sliver
 * beside a proper window is shown as a fair chance.
 */
final class PrintedWindows
{
    /** Days between two windows that are bridged. */
    private const BRIDGED = 3;

    /** How far a bridged day may fall short of the confidence level. */
    private const SHORT_BY = 0.1;

    /** A window of fewer days is a sliver. */
    public const SLIVER = 8;

    /**
     * @param  list<SowingWindow>  $windows  in their order
     * @param  list<float>  $reliability  length 365
     * @param  float  $share  of years, at the confidence level
     * @param  YearDay  $from  where the year starts
     * @return list<SowingWindow> windows at most three days apart joined, if none of these days is held back and each is near the
     *   confidence level
     */
    public static function joined(array $windows, array $reliability, ?SoilHold $hold, float $share, YearDay $from): array
    {
        if (count($windows) < 2) {
            return $windows;
        }
        $open = array_fill(0, YearDay::YEAR, false);
        $fill = static function (YearDay $first, int $days) use (&$open): void {
            for ($i = 0; $i < $days; $i++) {
                $open[($first->number + $i - 1) % YearDay::YEAR] = true;
            }
        };
        foreach ($windows as $n => $window) {
            $fill($window->first, $window->days);
            $gap = $window->last->plus(1);
            $days = $gap->daysUntil($windows[($n + 1) % count($windows)]->first);
            if ($days <= self::BRIDGED && self::carries($gap, $days, $reliability, $hold, $share)) {
                $fill($gap, $days);
            }
        }

        return WindowFinder::runs(array_values($open), $from);
    }

    /**
     * @param  list<SowingWindow>  $windows
     * @return array{list<SowingWindow>, list<SowingWindow>} windows, and slivers beside one of eight days or more
     */
    public static function slivers(array $windows): array
    {
        $isSliver = static fn (SowingWindow $w): bool => $w->days < self::SLIVER;
        $slivers = array_values(array_filter($windows, $isSliver));

        return count($slivers) === count($windows)
            ? [$windows, []]
            : [array_values(array_filter($windows, static fn (SowingWindow $w): bool => ! $isSliver($w))), $slivers];
    }

    /** @param  list<float>  $reliability */
    private static function carries(YearDay $first, int $days, array $reliability, ?SoilHold $hold, float $share): bool
    {
        for ($i = 0; $i < $days; $i++) {
            $day = $first->plus($i);
            if ($hold?->holds($day) === true || $reliability[$day->number - 1] < $share - self::SHORT_BY - Tolerance::SUMS) {
                return false;
            }
        }

        return true;
    }
}
