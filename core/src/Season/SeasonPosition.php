<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\Median;
use Anthesis\Record\YearDay;

/** Whether a season is ahead of others or behind, by the warmth added up since midwinter and by its soil. */
final readonly class SeasonPosition
{
    /** °C above which warmth is added up. */
    private const BASE = 5.0;

    private const WEEK = 7;

    private const YEAR = YearDay::YEAR;

    /**
     * @param  float  $degreeDays  above 5 °C since midwinter
     * @param  int|null  $daysAhead  compared with the other years' median; negative: behind; null: there are no other years, or they never
     *   reach it
     * @param  float|null  $soil  mean of the last seven days, °C
     * @param  float|null  $soilAbove  compared with the other years' median for the same days, °C
     */
    private function __construct(public float $degreeDays, public ?int $daysAhead, public ?float $soil, public ?float $soilAbove)
    {
    }

    /**
     * @param  DailyRecord  $record  after quality control, up to the day before today
     * @param  list<float|null>  $soil  daily mean of its days, °C
     */
    public static function of(DailyRecord $record, array $soil, Latitude $latitude): self
    {
        $bridged = $record->bridged();
        $last = $record->days() - 1;
        [$month, $day] = $latitude->yearStart()->monthAndDay();
        $start = Day::of($record->last()->year(), $month, $day);
        if ($start->number > $record->last()->number) {
            $start = Day::of($record->last()->year() - 1, $month, $day);
        }
        $so = $last - ($start->number - $record->first->number);
        $above = static function (int $from, int $days) use ($bridged): ?array {
            $sums = [];
            $sum = 0.0;
            for ($i = $from; $i < $from + $days; $i++) {
                $low = $bridged->minimum[$i] ?? null;
                $high = $bridged->maximum[$i] ?? null;
                if ($i < 0 || $low === null || $high === null) {
                    return null;
                }
                $sums[] = $sum += max(0.0, ($low + $high) / 2 - self::BASE);
            }

            return $sums;
        };
        $own = $above($last - $so, $so + 1) ?? [0.0];
        $others = $soils = [];
        for ($year = $record->first->year(); $year < $start->year(); $year++) {
            $from = Day::of($year, $month, $day)->number - $record->first->number;
            $sums = $above($from, self::YEAR);
            if ($sums !== null) {
                $others[] = $sums;
                $soils[] = self::weekOf($soil, $from + $so);
            }
        }
        $sum = $own[count($own) - 1];

        return new self(
            $sum,
            self::ahead($others, $sum, $so),
            ($week = self::weekOf($soil, $last)),
            $week === null ? null : self::difference($week, $soils),
        );
    }

    /**
     * @param  list<list<float>>  $others  sums by day since midwinter
     * @param  int  $today  days since midwinter of the last day added up
     */
    private static function ahead(array $others, float $sum, int $today): ?int
    {
        for ($day = 0; $others !== [] && $day < self::YEAR; $day++) {
            if (Median::of(array_column($others, $day)) >= $sum) {
                return $day - $today;
            }
        }

        return null;
    }

    /** @param  list<float|null>  $others */
    private static function difference(float $week, array $others): ?float
    {
        $known = array_values(array_filter($others, static fn (?float $v): bool => $v !== null));

        return $known === [] ? null : $week - Median::of($known);
    }

    /**
     * @param  list<float|null>  $soil
     * @return float|null mean of a day and the six before it, °C
     */
    private static function weekOf(array $soil, int $day): ?float
    {
        $week = array_filter(
            array_slice($soil, max(0, $day - self::WEEK + 1), min($day + 1, self::WEEK)),
            static fn (?float $v): bool => $v !== null,
        );

        return $week === [] ? null : array_sum($week) / count($week);
    }
}
