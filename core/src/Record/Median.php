<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** The middle value, or the mean of the two in the middle. */
final class Median
{
    /** @param  list<float>  $values  at least one, in any order */
    public static function of(array $values): float
    {
        sort($values);
        $n = count($values);

        return ($values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]) / 2;
    }
}
