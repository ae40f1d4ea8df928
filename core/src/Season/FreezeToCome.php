<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\Latitude;

/** In how many members a freeze is still to come: of spring until summer solstice, of fall until a date. */
final class FreezeToCome
{
    /**
     * @param  list<Member>  $members
     * @return int those with a minimum at or below so many °C on or after the day and before the summer solstice that follows it
     */
    public static function before(array $members, float $celsius, Day $day, Latitude $latitude): int
    {
        return self::between($members, $celsius, $day, self::midsummerAfter($day, $latitude)->plus(-1));
    }

    /**
     * @param  list<Member>  $members
     * @return int those with a minimum at or below so many °C from the last summer solstice to the day
     */
    public static function by(array $members, float $celsius, Day $day, Latitude $latitude): int
    {
        $next = self::midsummerAfter($day, $latitude);

        return self::between($members, $celsius, Day::of($next->year() - 1, ...$next->yearDay()->monthAndDay()), $day);
    }

    /** The first July 1, south of the equator January 1, after a day. */
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
