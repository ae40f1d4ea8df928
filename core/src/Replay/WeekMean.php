<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\YearDay;

/** The mean of a day and the three before and after it, on the circle of the year. */
final class WeekMean
{
    private const HALF_WEEK = 3;

    /**
     * @param  list<float>  $values  length 365
     * @return list<float> length 365
     */
    public static function of(array $values): array
    {
        $means = [];
        for ($day = 0; $day < YearDay::YEAR; $day++) {
            $sum = 0.0;
            for ($j = -self::HALF_WEEK; $j <= self::HALF_WEEK; $j++) {
                $sum += $values[($day + $j + YearDay::YEAR) % YearDay::YEAR];
            }
            $means[] = $sum / (2 * self::HALF_WEEK + 1);
        }

        return $means;
    }
}
