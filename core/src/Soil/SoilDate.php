<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Climate\Quantile;
use Anthesis\Climate\RulerYears;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/** The day on which soil first holds a temperature: the first of five days in a row at or above it, counted from midwinter. */
final readonly class SoilDate
{
    private const DAYS_RUNNING = 5;

    /**
     * @param  int  $years  years on record
     * @param  YearDay|null  $oneYearInTwo  reached by then in half of the years; null: not reached
     * @param  YearDay|null  $fourYearsInFive  reached by then in four years out of five
     */
    private function __construct(
        public float $celsius,
        public int $years,
        public ?YearDay $oneYearInTwo,
        public ?YearDay $fourYearsInFive,
    ) {
    }

    public static function of(SoilTemperature $soil, Latitude $latitude, float $celsius): self
    {
        return self::all($soil, $latitude, [$celsius])[0];
    }

    /**
     * @param  list<float>  $temperatures  °C
     * @return list<self> in the order of the temperatures
     */
    public static function all(SoilTemperature $soil, Latitude $latitude, array $temperatures): array
    {
        $years = RulerYears::of($soil->first, $soil->dailyMean, $latitude);
        $day = static fn (?float $offset): ?YearDay => $offset === null ? null : $latitude->yearStart()->plus((int) ceil($offset));
        $dates = [];
        foreach ($temperatures as $celsius) {
            $offsets = array_map(static fn (array $year): float => self::firstRun($year, $celsius), array_values($years));
            sort($offsets);
            $dates[] = new self($celsius, count($offsets), $day(Quantile::of($offsets, 0.5)), $day(Quantile::of($offsets, 0.8)));
        }

        return $dates;
    }

    /** @param  list<float|null>  $year */
    private static function firstRun(array $year, float $celsius): float
    {
        $run = 0;
        foreach ($year as $i => $value) {
            $run = $value !== null && $value >= $celsius ? $run + 1 : 0;
            if ($run === self::DAYS_RUNNING) {
                return $i - self::DAYS_RUNNING + 1;
            }
        }

        return INF;
    }
}
