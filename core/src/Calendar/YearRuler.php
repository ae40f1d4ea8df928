<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\DailyChance;
use Anthesis\Climate\FreezeRisk;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\YearDay;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Words\Phrase;

/**
 * The place's year as it appears above every calendar: freeze, soil, light, and heat by sow day, and the freeze dates.
 *
 * A plain document, ready for JSON:
 * - `starts`: "MM-DD", where the ruler starts
 * - `freeze_chance`, `hot_chance`: list<float> length 365, share of years with minimum ≤ 0 °C, maximum ≥ 30 °C
 * - `soil`: list<float> length 365, normal at 5 cm, °C; `day_length`: list<float> length 365, hours
 * - `freeze_to_come`, `freeze_has_come`: list<int> length 365, seasons whose last freeze is on or after the day, and whose first is on or
 *   before it; `seasons`: how many there are
 * - `freezes`: for each threshold, the last and first dates at three risks and the freeze-free days between them
 *
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type RiskDate array{risk: float, phrase: Words, date: string|null, earliest: string|null, latest: string|null}
 * @phpstan-type Freezes array{threshold: string, celsius: float, phrase: Words, last: list<RiskDate>, first: list<RiskDate>, free_days: list<int|null>}
 * @phpstan-type Ruler array{starts: string, seasons: int, short_record: bool, freeze_chance: list<float>, hot_chance: list<float>, soil: list<float>, day_length: list<float>, freeze_to_come: list<int>, freeze_has_come: list<int>, freezes: list<Freezes>}
 */
final class YearRuler
{
    private const HOT = 30.0;

    private const YEARS_IN = [2, 5, 10];

    /** @return Ruler */
    public static function of(DailyRecord $usable, PlaceEvidence $place): array
    {
        $light = $place->freeze(FreezeThreshold::LightFreeze);
        $start = $place->latitude->coldSeasonStart();
        $toCome = $hasCome = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $offset = $start->daysUntil(YearDay::fromNumber($day));
            $toCome[] = $light->seasonsWithFreezeOnOrAfter($offset);
            $hasCome[] = $light->seasonsWithFreezeOnOrBefore($offset);
        }
        $round = static fn (int $digits): callable => static fn (float $v): float => round($v, $digits);

        return [
            'starts' => $place->latitude->yearStart()->iso(),
            'seasons' => $light->count(),
            'short_record' => $light->isShort(),
            'freeze_chance' => array_map(
                $round(3),
                DailyChance::of($usable->first, $usable->minimum, static fn (float $v): bool => $v <= 0.0),
            ),
            'hot_chance' => array_map(
                $round(3),
                DailyChance::of($usable->first, $usable->maximum, static fn (float $v): bool => $v >= self::HOT),
            ),
            'soil' => array_map($round(1), $place->soil->values),
            'day_length' => array_map($round(2), $place->dayLength),
            'freeze_to_come' => $toCome,
            'freeze_has_come' => $hasCome,
            'freezes' => array_map(static fn (FreezeThreshold $t): array => self::freezes($place, $t), FreezeThreshold::cases()),
        ];
    }

    /** @return Freezes */
    private static function freezes(PlaceEvidence $place, FreezeThreshold $threshold): array
    {
        $statistics = $place->freeze($threshold);
        $date = static fn (?float $offset, bool $up): ?string => $offset === null
            ? null
            : $statistics->dayAt((int) ($up ? ceil($offset) : floor($offset)))->iso();
        $last = $first = $free = [];
        foreach (self::YEARS_IN as $years) {
            $risk = FreezeRisk::oneYearIn($years);
            [$low, $high] = $statistics->lastInterval($risk);
            $last[] = [
                'risk' => $risk->chance,
                'phrase' => $risk->phrase()->toArray(),
                'date' => $date($statistics->lastAtRisk($risk), true),
                'earliest' => $date($low, true),
                'latest' => $date($high, true),
            ];
            [$low, $high] = $statistics->firstInterval($risk);
            $first[] = [
                'risk' => $risk->chance,
                'phrase' => $risk->phrase()->toArray(),
                'date' => $date($statistics->firstAtRisk($risk), false),
                'earliest' => $date($low, false),
                'latest' => $date($high, false),
            ];
            $free[] = $statistics->freezeFreeDays($risk);
        }

        return [
            'threshold' => $threshold->value,
            'celsius' => $threshold->celsius(),
            'phrase' => Phrase::of("threshold.{$threshold->value}")->toArray(),
            'last' => $last,
            'first' => $first,
            'free_days' => $free,
        ];
    }
}
