<?php

declare(strict_types=1);

namespace Anthesis\Replay;

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
        [$one, $two, $three] = array_slice($values, -self::HALF_WEEK);
        [$four, $five, $six] = $values;
        $week = 2 * self::HALF_WEEK + 1;
        $means = [];
        // Its days are kept in variables and added in their order, because this runs for each way of growing each crop.
        foreach ([...array_slice($values, self::HALF_WEEK), ...array_slice($values, 0, self::HALF_WEEK)] as $seven) {
            $means[] = (0.0 + $one + $two + $three + $four + $five + $six + $seven) / $week;
            $one = $two;
            $two = $three;
            $three = $four;
            $four = $five;
            $five = $six;
            $six = $seven;
        }

        return $means;
    }
}
