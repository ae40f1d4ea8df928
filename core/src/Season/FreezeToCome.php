<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\Latitude;

/** In how many members there is another freeze: in spring, up to the summer solstice; in fall, up to a date. */
final class FreezeToCome
{
    /**
     * @param  list<Member>  $members
     * @return int those with a minimum at or below this, °C, on or after the day and before the next summer solstice
     */
    public static function before(array $members, float $celsius, Day $day, Latitude $latitude): int
    {
        return self::between($members, $celsius, $day, self::midsummerAfter($day, $latitude)->plus(-1));
    }

    /**
     * @param  list<Member>  $members
     * @return int those with a minimum at or below this, °C, from the last summer solstice to the day
     */
    public static function by(array $members, float $celsius, Day $day, Latitude $latitude): int
    {
        $next = self::midsummerAfter($day, $latitude);

        return self::between($members, $celsius, Day::of($next->year() - 1, ...$next->yearDay()->monthAndDay()), $day);
    }

    /** The first July 1 after a day; south of the equator, January 1. */
    private static function midsummerAfter(Day $day, Latitude $latitude): Day
    {
        $month = $latitude->isNorth() ? 7 : 1;
        $midsummer = Day::of($day->year(), $month, 1);

        return $day->isBefore($midsummer) ? $midsummer : Day::of($day->year() + 1, $month, 1);
    }

    /** @param  list<Member>  $members */
    private static function between(array $members, float $celsius, Day $from, Day $to): int
    {
        $count = 0;
        foreach ($members as $member) {
            $first = $member->record->first->number;
            for ($i = max(0, $from->number - $first), $last = min($member->record->days() - 1, $to->number - $first); $i <= $last; $i++) {
                $minimum = $member->record->minimum[$i];
                if ($minimum !== null && $minimum <= $celsius) {
                    $count++;
                    break;
                }
            }
        }

        return $count;
    }
}
