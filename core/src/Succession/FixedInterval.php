<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Record\YearDay;

/**
 * Plantings a fixed number of days apart, as packets advise, on sow days that reach the confidence level; if one does not, on the next that
 * does.
 */
final class FixedInterval
{
    /**
     * @param  YearDay  $from  the first day to sow on
     * @param  int  $until  days after it: the last day to sow on
     * @param  float  $standard  share of years in which a sow day must come to harvest, 0…1
     * @param  int  $interval  days from one planting to the next, at least one
     * @return list<SuccessionSowing>
     */
    public static function of(HarvestDays $harvests, YearDay $from, int $until, float $standard, int $interval): array
    {
        $sowings = [];
        for ($after = 0; $after <= $until; $after++) {
            $day = $from->plus($after);
            $own = $harvests->on($day);
            if ($own !== null && $harvests->reaches($day, $standard)) {
                $sowings[] = new SuccessionSowing($day, $after, $after + $own[0], $after + $own[0] + $own[1] - 1);
                $after += $interval - 1;
            }
        }

        return $sowings;
    }
}
