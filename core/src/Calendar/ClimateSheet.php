<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\ColdSeason;
use Anthesis\Climate\DegreeDays;
use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Climate\Hardiness;
use Anthesis\Climate\Heat;
use Anthesis\Climate\Normals;
use Anthesis\Climate\Trend;
use Anthesis\Crop\Crop;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilDate;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\DayLengthDates;
use Anthesis\Sun\Radiation;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Words\Phrase;

/**
 * What the record says about a place, beyond the year ruler: freezes season by season, trend, heat, warmth, soil, completeness.
 *
 * A plain document, ready for JSON. Days of the year are "MM-DD"; dates "YYYY-MM-DD"; temperatures °C.
 *
 * - `to_come`, `has_come`: list<int> length 365, seasons whose last freeze is on or after the day, and whose first is on or before it
 * - `day_lengths`: when days reach a number of hours and when they fall below it; null if they never do
 * - `twilight`: hours with civil twilight; `radiation`: at the top of the atmosphere, MJ m⁻² d⁻¹; both for each sow day
 * - `sites`: for each site, the normal soil on each sow day (°C at 5 cm) and when soil first holds a temperature for five days
 *
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type SeasonFreezes array{season: int, first: string|null, last: string|null, first_date: string|null, last_date: string|null}
 * @phpstan-type ThresholdSheet array{threshold: string, celsius: float, phrase: Words, seasons: list<SeasonFreezes>, to_come: list<int>, has_come: list<int>, trend: array{days_per_decade: float, p: float, phrase: Words}|null}
 * @phpstan-type DatedSoil array{celsius: float, one_year_in_two: string|null, four_years_in_five: string|null}
 * @phpstan-type SiteSoil array{site: string, soil: list<float>, soil_dates: list<DatedSoil>}
 * @phpstan-type Climate array{season_starts: string, thresholds: list<ThresholdSheet>, hardiness: array{mean_extreme_minimum: float, half_zone: string}|null, heat: list<array{celsius: float, days_a_year: float|null, first: string|null, last: string|null}>, degree_days: list<array{base: float, a_year: float|null}>, day_lengths: list<array{hours: float, reached: string|null, lost: string|null, days: int}>, twilight: list<float>, radiation: list<float>, sites: list<SiteSoil>, normals: array{minimum: list<float>, maximum: list<float>}, completeness: list<array{year: int, months: list<int>}>}
 */
final class ClimateSheet
{
    private const HEAT = [30.0, 35.0, 40.0];

    private const BASES = [5.0, 10.0];

    private const DAY_LENGTHS = [8.0, 9.0, 10.0, 11.0, 12.0, 13.0, 14.0, 15.0, 16.0];

    /** Below this p-value, the trend counts as one. */
    private const TREND_P = 0.1;

    /**
     * @param  DailyRecord  $usable  after quality control
     * @param  list<float>  $soils  °C, the temperatures to date, ascending (see `soilTemperatures`)
     * @param  non-empty-list<Site>  $sites  whose soil is modeled
     * @return Climate
     */
    public static function of(DailyRecord $usable, PlaceEvidence $place, array $soils, array $sites): array
    {
        $latitude = $place->latitude;
        $round = static fn (float $v): float => round($v, 1);
        $hardiness = Hardiness::of($place->freeze(FreezeThreshold::LightFreeze)->seasons);
        $heat = [];
        foreach (self::HEAT as $celsius) {
            $days = Heat::of($usable, $latitude, $celsius);
            $heat[] = [
                'celsius' => $celsius,
                'days_a_year' => $days->daysAYear === null ? null : round($days->daysAYear, 1),
                'first' => $days->first?->iso(),
                'last' => $days->last?->iso(),
            ];
        }

        return [
            'season_starts' => $latitude->coldSeasonStart()->iso(),
            'thresholds' => array_map(
                static fn (FreezeThreshold $t): array => self::threshold($latitude, $t, $place->freeze($t)),
                FreezeThreshold::cases(),
            ),
            'hardiness' => $hardiness === null
                    ? null
                    : ['mean_extreme_minimum' => round($hardiness->meanExtremeMinimum, 1), 'half_zone' => $hardiness->halfZone],
            'heat' => $heat,
            'degree_days' => array_map(static function (float $base) use ($usable, $latitude): array {
                $sum = DegreeDays::aYear($usable, $latitude, $base);

                return ['base' => $base, 'a_year' => $sum === null ? null : round($sum)];
            }, self::BASES),
            'day_lengths' => array_map(static fn (float $hours): array => self::dayLength($latitude, $hours), self::DAY_LENGTHS),
            'twilight' => array_map(static fn (float $v): float => round($v, 2), DayLength::twilightThroughTheYear($latitude)),
            'radiation' => array_map($round, Radiation::throughTheYear($latitude)),
            'sites' => array_map(static fn (Site $site): array => self::site($usable, $latitude, $site, $soils), $sites),
            'normals' => [
                'minimum' => array_map($round, Normals::of($usable->first, $usable->minimum)->values),
                'maximum' => array_map($round, Normals::of($usable->first, $usable->maximum)->values),
            ],
            'completeness' => self::completeness($usable),
        ];
    }

    /** @return ThresholdSheet */
    private static function threshold(Latitude $latitude, FreezeThreshold $threshold, FreezeStatistics $freezes): array
    {
        $offsets = array_map(
            static fn (int $day): int => $freezes->seasonStart->daysUntil(YearDay::fromNumber($day)),
            range(1, YearDay::YEAR),
        );
        $trend = $freezes->trendOfLast();

        return [
            'threshold' => $threshold->value,
            'celsius' => $threshold->celsius(),
            'phrase' => Phrase::of("threshold.{$threshold->value}")->toArray(),
            'seasons' => array_map(static fn (ColdSeason $s): array => self::season($latitude, $s), $freezes->seasons),
            'to_come' => array_map($freezes->seasonsWithFreezeOnOrAfter(...), $offsets),
            'has_come' => array_map($freezes->seasonsWithFreezeOnOrBefore(...), $offsets),
            'trend' => $trend === null
                    ? null
                    : [
                        'days_per_decade' => round($trend->daysPerDecade, 1),
                        'p' => round($trend->p, 3),
                        'phrase' => self::trend($trend)->toArray(),
                    ],
        ];
    }

    /** @return SeasonFreezes */
    private static function season(Latitude $latitude, ColdSeason $season): array
    {
        [$start] = $latitude->coldSeason($season->season);
        $date = static fn (?int $offset): ?Day => $offset === null ? null : $start->plus($offset);

        return [
            'season' => $season->season,
            'first' => $date($season->first)?->yearDay()->iso(),
            'last' => $date($season->last)?->yearDay()->iso(),
            'first_date' => $date($season->first)?->iso(),
            'last_date' => $date($season->last)?->iso(),
        ];
    }

    private static function trend(Trend $trend): Phrase
    {
        $with = ['days' => round(abs($trend->daysPerDecade), 1), 'p' => round($trend->p, 2)];

        return Phrase::of(
            'trend.'.
                match (true) {
                    $trend->p >= self::TREND_P || $with['days'] < 0.1 => 'none',
                    $trend->daysPerDecade < 0 => 'earlier',
                    default => 'later',
                },
            $with,
        );
    }

    /** @return array{hours: float, reached: string|null, lost: string|null, days: int} */
    private static function dayLength(Latitude $latitude, float $hours): array
    {
        $dates = DayLengthDates::of($latitude, $hours);

        return ['hours' => $hours, 'reached' => $dates->reached?->iso(), 'lost' => $dates->lost?->iso(), 'days' => $dates->days];
    }

    /**
     * @param  list<float>  $asked  °C
     * @return SiteSoil
     */
    private static function site(DailyRecord $usable, Latitude $latitude, Site $site, array $asked): array
    {
        $soil = SoilTemperature::of($usable, $latitude, $site);
        $dates = [];
        foreach (SoilDate::all($soil, $latitude, $asked) as $date) {
            $dates[] = [
                'celsius' => $date->celsius,
                'one_year_in_two' => $date->oneYearInTwo?->iso(),
                'four_years_in_five' => $date->fourYearsInFive?->iso(),
            ];
        }

        return [
            'site' => $site->name,
            'soil' => array_map(static fn (float $v): float => round($v, 1), $soil->normals()->values),
            'soil_dates' => $dates,
        ];
    }

    /**
     * @param  list<Crop>  $crops
     * @return list<float> the soil temperatures the crops need, ascending
     */
    public static function soilTemperatures(array $crops): array
    {
        $asked = [];
        foreach ($crops as $crop) {
            foreach ([$crop->convention->soilMinSowC, $crop->convention->soilMinSetOutC] as $celsius) {
                if ($celsius !== null) {
                    $asked[(string) $celsius] = $celsius;
                }
            }
        }
        sort($asked);

        return $asked;
    }

    /** @return list<array{year: int, months: list<int>}> days with a minimum and a maximum, by month */
    private static function completeness(DailyRecord $record): array
    {
        $years = [];
        foreach ($record->minimum as $i => $minimum) {
            [$year, $month] = Day::civil($record->first->number + $i);
            $years[$year] ??= array_fill(0, 12, 0);
            if ($minimum !== null && $record->maximum[$i] !== null) {
                $years[$year][$month - 1]++;
            }
        }

        return array_map(
            static fn (int $year, array $months): array => ['year' => $year, 'months' => array_values($months)],
            array_keys($years),
            array_values($years),
        );
    }
}
