<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;

/** Warmth above a base, added up: the mean of a day's minimum and maximum minus the base, if that is positive. */
final class DegreeDays
{
    /**
     * The mean of the yearly sums on record. Missing days (gaps of up to ten are bridged) count as the year's mean.
     *
     * @param  DailyRecord  $record  after quality control
     * @return float|null °C·d per year; null without a year on record
     */
    public static function aYear(DailyRecord $record, Latitude $latitude, float $base): ?float
    {
        $bridged = $record->bridged();
        $above = array_map(
            static fn (?float $low, ?float $high): ?float => $low === null || $high === null ? null : max(0.0, ($low + $high) / 2 - $base),
            $bridged->minimum,
            $bridged->maximum,
        );
        $sums = [];
        foreach (RulerYears::of($record->first, $above, $latitude) as $year) {
            $known = array_filter($year, static fn (?float $v): bool => $v !== null);
            $sums[] = (array_sum($known) * count($year)) / count($known);
        }

        return $sums === [] ? null : array_sum($sums) / count($sums);
    }
}
