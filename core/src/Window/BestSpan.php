<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\Tolerance;

/** The days of a window that yield the most: those around its first best day with nearly as much expected harvest. */
final class BestSpan
{
    /** Share of the window's highest expected harvest. */
    private const NEARLY = 0.9;

    /** @param  list<float>  $expected  length 365, expected harvest of sow day i+1 */
    public static function of(SowingWindow $window, array $expected): SowingWindow
    {
        $at = static fn (int $i): float => $expected[$window->first->plus($i)->number - 1];
        $best = 0;
        for ($i = 1; $i < $window->days; $i++) {
            if ($at($i) > $at($best) + Tolerance::SUMS) {
                $best = $i;
            }
        }
        $enough = self::NEARLY * $at($best) - Tolerance::SUMS;
        $from = $to = $best;
        while ($from > 0 && $at($from - 1) >= $enough) {
            $from--;
        }
        while ($to < $window->days - 1 && $at($to + 1) >= $enough) {
            $to++;
        }

        return new SowingWindow($window->first->plus($from), $window->first->plus($to));
    }
}
