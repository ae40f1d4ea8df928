<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Closure;

/** How often, among the years on record, something happens on a day of the year, smoothed over seven days. */
final class DailyChance
{
    private const HALF_WEEK = 3;

    /**
     * @param  list<float|null>  $series  one value per day, starting on the first day
     * @param  Closure(float): bool  $happens
     * @return list<float> length 365, share 0…1 on sow day i+1: the centered circular mean of seven days
     */
    public static function of(Day $first, array $series, Closure $happens): array
    {
        $hits = array_fill(0, YearDay::YEAR, 0);
        $counts = array_fill(0, YearDay::YEAR, 0);
        $yearDays = $first->yearDays(count($series));
        foreach ($series as $i => $value) {
            if ($value !== null) {
                $day = $yearDays[$i] - 1;
                $counts[$day]++;
                $hits[$day] += $happens($value) ? 1 : 0;
            }
        }
        $chance = [];
        for ($i = 0; $i < YearDay::YEAR; $i++) {
            $hit = $count = 0;
            for ($j = -self::HALF_WEEK; $j <= self::HALF_WEEK; $j++) {
                $k = ($i + $j + YearDay::YEAR) % YearDay::YEAR;
                $hit += $hits[$k];
                $count += $counts[$k];
            }
            $chance[] = $count === 0 ? 0.0 : $hit / $count;
        }

        return $chance;
    }
}
