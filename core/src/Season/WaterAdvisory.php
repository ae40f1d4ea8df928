<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Climate\Quantile;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Ground;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Workable;
use Anthesis\Words\Phrase;

/**
 * What a season's rain gives reason to tell gardeners: the driest weeks for the time of year while gardens depend on watering, and ground
 * that is too wet to work when it normally is fit.
 */
final class WaterAdvisory
{
    /** Weeks up to the day before, longest first, of which none in the other years may have been drier. */
    private const WEEKS = [8, 6, 4, 3];

    /** It takes this many other years to say "the driest in years". */
    private const LEAST_YEARS = 9;

    /** Gardens depend on watering when the air takes this much a day, mm. */
    private const GROWING = 2.0;

    /** Ground that is fit on a date in this share of the years is normally fit then. */
    private const USUALLY = 0.8;

    /** Evenings in a row on which it is too wet. */
    private const WET_DAYS = 3;

    private const SHOWN = 7;

    private const WEEK = 7;

    /**
     * @param  DailyRecord  $record  up to the day before today
     * @return list<AdvisoryGround> empty without rain on record
     */
    public static function of(DailyRecord $record, Latitude $latitude): array
    {
        if ($record->rain === null) {
            return [];
        }
        $water = WaterDays::of($record, $latitude);

        return array_values(array_filter([self::dry($record, $water), self::wet($record, $water)]));
    }

    private static function dry(DailyRecord $record, WaterDays $water): ?AdvisoryGround
    {
        $end = $record->days() - 1;
        foreach (self::WEEKS as $weeks) {
            $days = self::WEEK * $weeks;
            $rain = self::fallen($record, $water, $end, $days);
            $taken = array_sum(array_slice($water->et0, -$days));
            $others = [];
            for ($year = $record->first->year(); $year < $record->last()->year(); $year++) {
                $then = self::sameDay($record->last(), $year)->number - $record->first->number;
                $fallen = self::fallen($record, $water, $then, $days);
                if ($fallen !== null) {
                    $others[] = $fallen;
                }
            }
            if ($rain === null || count($others) < self::LEAST_YEARS || $taken < self::GROWING * $days || $rain >= min($others)) {
                continue;
            }
            sort($others);
            $words = ['weeks' => $weeks, 'rain' => self::rain($rain), 'years' => count($others) + 1];

            return new AdvisoryGround(
                'dry',
                Phrase::of('advisory.draft.dry', $words),
                [
                    Phrase::of('advisory.evidence.driest', $words + ['next' => self::rain($others[0])]),
                    Phrase::of('advisory.evidence.usual-rain', ['rain' => self::rain((float) Quantile::of($others, 0.5))]),
                    Phrase::of('advisory.evidence.air-took', ['taken' => self::rain($taken)]),
                ],
                $record->last()->plus(self::SHOWN),
            );
        }

        return null;
    }

    private static function wet(DailyRecord $record, WaterDays $water): ?AdvisoryGround
    {
        $workable = Workable::of($water, Ground::named(Ground::DEFAULT));
        $end = $record->days() - 1;
        $usual = $workable->shares()[$record->last()->yearDay()->number - 1];
        if ($end < self::WET_DAYS || $usual === null || $usual < self::USUALLY) {
            return null;
        }
        for ($i = $end; $i > $end - self::WET_DAYS; $i--) {
            // Frozen ground and snow are no news to anyone.
            if ($workable->days[$i] || ! $water->isTold[$i] || $water->covered[$i] || $water->soil[$i] <= Workable::FROZEN_AT) {
                return null;
            }
        }

        return new AdvisoryGround(
            'wet',
            Phrase::of('advisory.draft.wet'),
            [
                Phrase::of('advisory.evidence.usually-fit', ['of_ten' => (int) round(10 * $usual)]),
                Phrase::of('advisory.evidence.rain-lately', [
                    'rain' => self::rain(array_sum(array_slice($water->reaching, -2 * self::WEEK))),
                ]),
            ],
            $record->last()->plus(self::SHOWN),
        );
    }

    /** @return float|null mm that fell in this many days up to one of the record; null: not on record for nine of ten of them */
    private static function fallen(DailyRecord $record, WaterDays $water, int $end, int $days): ?float
    {
        $from = $end - $days + 1;

        return $from < 0 || ! $water->knowsRain($from, $end)
            ? null
            : array_sum(array_map(floatval(...), array_slice($record->rain ?? [], $from, $days)));
    }

    private static function sameDay(Day $day, int $year): Day
    {
        [, $month, $date] = Day::civil($day->number);

        return Day::of($year, $month, $month === 2 && $date === 29 ? 28 : $date);
    }

    private static function rain(float $millimetres): Phrase
    {
        return Phrase::of('measure.rain', ['rain' => round($millimetres, 1)]);
    }
}
