<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Ground;
use Anthesis\Water\Due;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;

/**
 * When a growing planting needs water: its rain and its waterings so far, the outlook, and then each past year.
 *
 * A plain document, ready for JSON: of `of` years continued from this season, it is due `now` (by this evening) in some, and by `day` in
 * half of them (null: not within AHEAD days), with `mm` then; `since`: the day since which it has been due, as far as is known (null: it
 * was not); `rained`: the day in the last week on which rain took care of what had been due (null: none); `up`: whether it is up, or its
 * seedbed is to be kept moist.
 *
 * @phpstan-type Sheet array{of: int, now: int, day: string|null, mm: float, since: string|null, rained: string|null, up: bool}
 */
final class WaterDueSheet
{
    /** Days to look at, from today on. */
    public const AHEAD = 21;

    /** Days before today of which nine in ten need their rain on record. */
    private const BEFORE = 30;

    /** Days for which it is reported that rain took care of it. */
    private const LATELY = 7;

    /**
     * @param  Place  $place  in its season, at the site it grows at
     * @param  Day  $on  day of sowing, or of transplanting
     * @param  Day|null  $up  when it was seen up; null: not seen
     * @param  array<string, float|null>  $given  mm of each watering by date; null: as much as it took
     * @param  array<string, float>  $gauge  mm a gauge beside it caught, by date, used instead of the station's
     * @return Sheet|null null without rain on record recently, or without a season
     */
    public static function of(
        Place $place,
        Crop $crop,
        Route $route,
        Ground $ground,
        Day $on,
        ?Day $up,
        array $given,
        array $gauge,
    ): ?array {
        if ($place->known()->rain === null) {
            return null;
        }
        $today = $place->today();
        $season = ThisSeason::ofPlace($place);
        $emergences = $route === Route::Direct && $up === null ? $season->emergences($crop, $on) : null;
        $dues = [];
        $isUp = true;
        foreach ($season->members as $i => $member) {
            $first = $member->record->first;
            $at = $today->number - $first->number;
            $last = $at + self::AHEAD;
            $water = WaterDays::of(self::gauged($member->record->between($first, $first->plus($last)), $gauge), $place->latitude);
            if ($on->isBefore($first) || ! $water->knowsRain(max(0, $at - self::BEFORE), $at - 1)) {
                return null;
            }
            $irrigation = new Irrigation($water, $ground, $crop, $route, $season->grown($crop, $member));
            $waterings = self::byIndex($given, $first);
            $cameUp = $emergences === null ? $up ?? $on : $emergences[$i];
            $isUp = $cameUp !== null && $cameUp->isBefore($today);
            $due = $isUp
                ? $irrigation->due($cameUp->number - $first->number, $waterings, $at, $last)
                : $irrigation->seedbedDue($on->number - $first->number, $waterings, $at, $last);
            $dues[] = self::dated($due, $first);
        }

        return $dues === [] ? null : self::summed($dues, $today, $isUp);
    }

    /** @return array{day: Day|null, mm: float, since: Day|null, rained: Day|null} */
    private static function dated(Due $due, Day $first): array
    {
        $day = static fn (?int $index): ?Day => $index === null ? null : $first->plus($index);

        return ['day' => $day($due->day), 'mm' => $due->millimetres, 'since' => $day($due->since), 'rained' => $day($due->rained)];
    }

    /**
     * @param  non-empty-list<array{day: Day|null, mm: float, since: Day|null, rained: Day|null}>  $dues  for each member
     * @return Sheet
     */
    private static function summed(array $dues, Day $today, bool $isUp): array
    {
        $days = array_map(static fn (array $d): float => $d['day'] === null ? INF : (float) ($d['day']->number - $today->number), $dues);
        sort($days);
        $middle = Quantile::of($days, 0.5) ?? INF;
        $amounts = array_column(array_filter($dues, static fn (array $d): bool => $d['day'] !== null), 'mm');
        sort($amounts);
        // Up to today, all members are the same.
        $isSince = $dues[0]['since'] !== null && $dues[0]['since']->isBefore($today);
        $rained = $dues[0]['rained'];

        return [
            'of' => count($dues),
            'now' => count(array_filter($days, static fn (float $d): bool => $d === 0.0)),
            'day' => is_finite($middle) ? $today->plus((int) ceil($middle))->iso() : null,
            'mm' => round(Quantile::of($amounts, 0.5) ?? 0.0, 1),
            'since' => $isSince ? $dues[0]['since']->iso() : null,
            'rained' => $rained !== null && $rained->number >= $today->number - self::LATELY ? $rained->iso() : null,
            'up' => $isUp,
        ];
    }

    /** @param  array<string, float>  $gauge */
    private static function gauged(DailyRecord $record, array $gauge): DailyRecord
    {
        $rain = $record->rain ?? [];
        foreach (self::byIndex($gauge, $record->first) as $day => $millimetres) {
            if ($day >= 0 && $day < count($rain)) {
                $rain[$day] = $millimetres;
            }
        }

        return new DailyRecord($record->first, $record->minimum, $record->maximum, $rain, $record->snow);
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $byDate
     * @return array<int, T> by day of the record
     */
    private static function byIndex(array $byDate, Day $first): array
    {
        $byIndex = [];
        foreach ($byDate as $date => $value) {
            $byIndex[Day::fromIso($date)->number - $first->number] = $value;
        }

        return $byIndex;
    }
}
