<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Record\YearDay;

/** Sowings so many days apart, as packets advise, for as long as sow days reach a standard; where one does not, the next that does. */
final class FixedInterval
{
    /**
     * @param  YearDay  $from  the first day to sow on
     * @param  int  $until  days after it, the last day to sow on
     * @param  float  $standard  share of years a sow day must come to a harvest in, 0…1
     * @param  int  $interval  days from one sowing to the next, at least one
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
