<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Record\YearDay;

/**
 * Plantings timed so that one harvest follows another: each as late as possible for its harvest to start where the last one ends, as long
 * as it continues for a good while after that; docs/method.md, "A continuous harvest".
 */
final class EvenSupply
{
    /** A planting must be harvested for at least one part in this many of its harvest after the last one is over. */
    private const SHARE_AFTER = 3;

    /**
     * @param  YearDay  $from  the first day to sow on
     * @param  int  $until  days after it: the last day to sow on
     * @param  float  $standard  share of years in which a sow day must come to harvest, 0…1
     * @return list<SuccessionSowing>
     */
    public static function of(HarvestDays $harvests, YearDay $from, int $until, float $standard): array
    {
        $candidates = [];
        for ($after = 0; $after <= $until; $after++) {
            $day = $from->plus($after);
            $own = $harvests->on($day);
            if ($own !== null && $harvests->reaches($day, $standard)) {
                $candidates[] = new SuccessionSowing($day, $after, $after + $own[0], $after + $own[0] + $own[1] - 1);
            }
        }
        $sowings = [];
        $next = $candidates[0] ?? null;
        while ($next !== null) {
            $sowings[] = $next;
            $next = self::next($candidates, $next);
        }

        return $sowings;
    }

    /** @param  list<SuccessionSowing>  $candidates  in order of sowing */
    private static function next(array $candidates, SuccessionSowing $last): ?SuccessionSowing
    {
        $inTime = $late = null;
        foreach ($candidates as $one) {
            if ($one->after <= $last->after || $one->last - $last->last < (int) ceil(($one->last - $one->first + 1) / self::SHARE_AFTER)) {
                continue;
            }
            if ($one->first <= $last->last + 1) {
                $inTime = $one;
            } else {
                $late ??= $one;
            }
        }

        return $inTime ?? $late;
    }
}
