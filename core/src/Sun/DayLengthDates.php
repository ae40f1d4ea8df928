<?php

declare(strict_types=1);

namespace Anthesis\Sun;

use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/** When the days of a latitude grow to so many hours, and when they fall below them again. */
final readonly class DayLengthDates
{
    /**
     * @param  YearDay|null  $reached  first day after midwinter with so many hours; null: never, or never without
     * @param  YearDay|null  $lost  first day after summer solstice with fewer; null: likewise
     * @param  int  $days  days a year with at least so many hours
     */
    private function __construct(public float $hours, public ?YearDay $reached, public ?YearDay $lost, public int $days)
    {
    }

    public static function of(Latitude $latitude, float $hours): self
    {
        $lengths = DayLength::throughTheYear($latitude);
        $long = static fn (int $day): bool => $lengths[YearDay::wrap($day)->number - 1] >= $hours;
        $reached = $lost = null;
        $days = 0;
        $from = $latitude->yearStart()->number;
        for ($day = $from; $day < $from + YearDay::YEAR; $day++) {
            $days += $long($day) ? 1 : 0;
            if ($long($day) && ! $long($day - 1)) {
                $reached = YearDay::wrap($day);
            } elseif (! $long($day) && $long($day - 1)) {
                $lost = YearDay::wrap($day);
            }
        }

        return new self($hours, $reached, $lost, $days);
    }
}
