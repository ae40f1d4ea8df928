<?php

declare(strict_types=1);

namespace Anthesis\Indicator;

use Anthesis\Climate\Quantile;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\Median;
use Anthesis\Record\YearDay;
use Anthesis\Season\Member;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;

/**
 * An indicator plant: how much warmth had passed, and how warm the soil was, on the days one of its stages was seen (docs/method.md,
 * "Indicator plants").
 */
final readonly class Cue
{
    /** °C above which warmth counts. */
    private const BASE = 5.0;

    /** Days over which the soil is averaged, ending with the sighting's. */
    private const SOIL_DAYS = 7;

    /** With fewer years, a cue is shown, and nothing depends on it. */
    public const LEAST_YEARS = 3;

    /**
     * @param  list<array{day: Day, sum: float, soil: float}>  $sightings  those the record covers, one per year
     * @param  float  $sum  median of the degree-days above 5 °C since midwinter, °C·d
     * @param  float  $sumDeviation  their median absolute deviation
     * @param  float  $soil  median of the soil's mean temperature over the seven days up to the sighting, °C
     * @param  float  $soilDeviation  its median absolute deviation
     * @param  float|null  $strength  spread of the soil on the sightings' median calendar date, divided by that on the sighting days: above
     *   1, the plant tells more than the calendar; null if the soil was the same at every sighting
     */
    private function __construct(
        public array $sightings,
        public float $sum,
        public float $sumDeviation,
        public float $soil,
        public float $soilDeviation,
        public ?float $strength,
        private YearDay $yearStart,
    ) {
    }

    /**
     * @param  DailyRecord  $record  after quality control
     * @param  list<Day>  $days  of sightings, one per year; those before or after the record, or without the weather since midwinter, are
     *   left out
     * @return self|null null if none is left
     */
    public static function of(DailyRecord $record, Latitude $latitude, Site $site, array $days): ?self
    {
        $soil = SoilTemperature::of($record, $latitude, $site)->dailyMean;
        $means = self::means($record);
        $start = $latitude->yearStart();
        $seen = [];
        foreach ($days as $day) {
            $sum = self::sum($means, $record->first, $day, $start);
            $week = self::week($soil, $record->first, $day);
            if ($sum !== null && $week !== null) {
                $seen[] = ['day' => $day, 'sum' => $sum, 'soil' => $week];
            }
        }
        if ($seen === []) {
            return null;
        }
        [$sum, $sumDeviation] = self::middle(array_column($seen, 'sum'));
        [$middle, $deviation] = self::middle(array_column($seen, 'soil'));
        $byCalendar = self::onMedianDate($soil, $record->first, array_column($seen, 'day'), $start);

        return new self(
            $seen,
            $sum,
            $sumDeviation,
            $middle,
            $deviation,
            $deviation > 0.0 && $byCalendar !== null ? $byCalendar / $deviation : null,
            $start,
        );
    }

    /** Whether there are enough years to rely on it. */
    public function isUsed(): bool
    {
        return count($this->sightings) >= self::LEAST_YEARS;
    }

    /** Whether seed that needs soil this warm, °C, may be sown on the cue. */
    public function opens(float $soilMinimum): bool
    {
        return $this->isUsed() && $soilMinimum <= $this->soil - $this->soilDeviation;
    }

    /**
     * When the cue's warmth is reached this year, continued with past years.
     *
     * @param  list<Member>  $members
     * @return array{Day|null, Day|null, Day|null} by then in one of ten members, in half, in nine of ten; null if too few reach it
     */
    public function expected(array $members, Day $today): array
    {
        $start = self::midwinter($today, $this->yearStart);
        $reached = [];
        foreach ($members as $member) {
            $means = self::means($member->record);
            $total = 0.0;
            $found = INF;
            for ($i = max(0, $start->number - $member->record->first->number), $n = count($means); $i < $n; $i++) {
                $total += max(0.0, ($means[$i] ?? self::BASE) - self::BASE);
                if ($total >= $this->sum) {
                    $found = $member->record->first->number + $i;
                    break;
                }
            }
            $reached[] = $found;
        }
        sort($reached);
        $at = static fn (float $p): ?Day => ($day = Quantile::of($reached, $p)) === null
            ? null
            : $today->plus((int) ceil($day) - $today->number);

        return [$at(0.1), $at(0.5), $at(0.9)];
    }

    /** @return list<float|null> mean of each day's minimum and maximum, short gaps bridged */
    private static function means(DailyRecord $record): array
    {
        $bridged = $record->bridged();

        return array_map(
            static fn (?float $low, ?float $high): ?float => $low === null || $high === null ? null : ($low + $high) / 2,
            $bridged->minimum,
            $bridged->maximum,
        );
    }

    /** The last start of the year on or before a day; leap days count as days. */
    private static function midwinter(Day $day, YearDay $start): Day
    {
        $here = Day::of($day->year(), ...$start->monthAndDay());

        return ! $day->isBefore($here) ? $here : Day::of($day->year() - 1, ...$start->monthAndDay());
    }

    /** @param  list<float|null>  $means */
    private static function sum(array $means, Day $first, Day $day, YearDay $start): ?float
    {
        $to = $day->number - $first->number;
        $from = self::midwinter($day, $start)->number - $first->number;
        if ($from < 0 || $to >= count($means)) {
            return null;
        }
        $sum = 0.0;
        for ($i = $from; $i <= $to; $i++) {
            if ($means[$i] === null) {
                return null;
            }
            $sum += max(0.0, $means[$i] - self::BASE);
        }

        return $sum;
    }

    /** @param  list<float|null>  $soil */
    private static function week(array $soil, Day $first, Day $day): ?float
    {
        $to = $day->number - $first->number;
        if ($to < self::SOIL_DAYS - 1 || $to >= count($soil)) {
            return null;
        }
        $week = array_slice($soil, $to - self::SOIL_DAYS + 1, self::SOIL_DAYS);

        return in_array(null, $week, true) ? null : array_sum($week) / self::SOIL_DAYS;
    }

    /**
     * @param  list<float|null>  $soil
     * @param  list<Day>  $days
     * @return float|null spread of the soil in the years of the sightings, each on the median calendar date
     */
    private static function onMedianDate(array $soil, Day $first, array $days, YearDay $start): ?float
    {
        $since = (int) floor(Median::of(array_map(static fn (Day $d): float => (float) $start->daysUntil($d->yearDay()), $days)));
        $weeks = [];
        foreach ($days as $day) {
            $week = self::week($soil, $first, $day->plus($since - $start->daysUntil($day->yearDay())));
            if ($week !== null) {
                $weeks[] = $week;
            }
        }

        return $weeks === [] ? null : self::middle($weeks)[1];
    }

    /**
     * @param  list<float>  $values  at least one
     * @return array{float, float} the median, and the median absolute deviation from it
     */
    private static function middle(array $values): array
    {
        $middle = Median::of($values);

        return [$middle, Median::of(array_map(static fn (float $v): float => abs($v - $middle), $values))];
    }
}
