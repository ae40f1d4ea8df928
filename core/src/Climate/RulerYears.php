<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\Day;
use Anthesis\Record\Latitude;

/** A daily series cut into years that start at midwinter (January 1 in the north, July 1 in the south), so every summer is in one piece. */
final class RulerYears
{
    /** A year counts if this many of its days have a value. */
    public const DAYS_NEEDED = 350;

    /**
     * @param  list<float|null>  $series  one value per day, starting on the first day
     * @return array<int, list<float|null>> by the calendar year in which the year starts; values from midwinter on
     */
    public static function of(Day $first, array $series, Latitude $latitude): array
    {
        [$month, $day] = $latitude->yearStart()->monthAndDay();
        $years = [];
        $last = $first->number + count($series) - 1;
        for ($year = $first->year() - 1; $year <= Day::fromNumber($last)->year(); $year++) {
            $from = Day::numberOf($year, $month, $day);
            $length = Day::numberOf($year + 1, $month, $day) - $from;
            $offset = $from - $first->number;
            $values = array_slice($series, max(0, $offset), max(0, $length + min(0, $offset)));
            $values = array_merge(array_fill(0, min($length, max(0, -$offset)), null), $values);
            if (count(array_filter($values, static fn (?float $v): bool => $v !== null)) >= self::DAYS_NEEDED) {
                $years[$year] = $values;
            }
        }

        return $years;
    }
}
