<?php

declare(strict_types=1);

namespace Anthesis\Sun;

use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/** When the days at a latitude reach a number of hours, and when they fall below it again. */
final readonly class DayLengthDates
{
    /**
     * @param  YearDay|null  $reached  first day after midwinter with that many hours; null: never, or always
     * @param  YearDay|null  $lost  first day after the summer solstice with fewer; null: never, or always
     * @param  int  $days  days per year with at least that many hours
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
