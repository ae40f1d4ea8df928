<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\YearDay;

/** The mean of a day and the three days before and after it, around the year. */
final class WeekMean
{
    private const HALF_WEEK = 3;

    /**
     * @param  list<float>  $values  length 365
     * @return list<float> length 365
     */
    public static function of(array $values): array
    {
        $ring = [...array_slice($values, -self::HALF_WEEK), ...$values, ...array_slice($values, 0, self::HALF_WEEK)];
        $week = 2 * self::HALF_WEEK + 1;
        $means = [];
        for ($day = 0; $day < YearDay::YEAR; $day++) {
            $sum = 0.0;
            for ($i = $day, $end = $day + $week; $i < $end; $i++) {
                $sum += $ring[$i];
            }
            $means[] = $sum / $week;
        }

        return $means;
    }
}
