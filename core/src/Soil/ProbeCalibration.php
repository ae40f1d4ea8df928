<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\Median;
use Anthesis\Record\Tolerance;
use Anthesis\Words\Phrase;

/**
 * The soil model adjusted to a place by readings taken there.
 *
 * A reading at hour h is first converted to a daily mean by removing the daily wave, damped and delayed with depth: (Tmax − Tmin)/2 ·
 * e^(−z/D) · sin(2π(h − 8.5)/24 − z/D), D = √(κ·86400/π). The place's offset is the median of reading minus model, shrunk toward zero by
 * n/(n+3). With ten readings over 8 °C or more, the rate k is fitted too, by least absolute error on 0.5…1.6.
 */
final readonly class ProbeCalibration
{
    private const READINGS_FOR_RATE = 10;

    private const SPAN_FOR_RATE = 8.0;

    private const RATES = [0.5, 1.6, 0.01];

    /**
     * @param  float  $offset  to add to the model, °C
     * @param  float  $rate  k of the site, fitted or unchanged
     * @param  int  $used  readings on days that are on record
     * @param  float  $errorBefore  mean absolute error of the model before, °C
     * @param  float  $errorAfter  the same with the rate and offset
     * @param  list<array{day: Day, reading: float, before: float, after: float}>  $points  each reading as a daily mean, and the model before and after, °C
     */
    private function __construct(
        public float $offset,
        public float $rate,
        public bool $rateFitted,
        public int $used,
        public float $errorBefore,
        public float $errorAfter,
        public array $points,
    ) {
    }

    /**
     * @param  DailyRecord  $record  after quality control
     * @param  Site  $site  an offset it already has is ignored, because the readings estimate all of it again
     * @param  list<ProbeReading>  $readings  all at one depth
     *
     * @throws ReadingsRefused if no reading falls on a day of the record, or they come from several depths
     */
    public static function of(DailyRecord $record, Latitude $latitude, Site $site, array $readings): self
    {
        $depths = array_unique(array_map(static fn (ProbeReading $r): string => (string) $r->depth, $readings));
        if (count($depths) > 1) {
            throw new ReadingsRefused(Phrase::of('error.readings.several-depths', ['depths' => implode(' m, ', $depths).' m']));
        }
        $site = $site->withoutOffset()->atDepth($readings[0]->depth ?? $site->depth);
        $means = [];
        foreach ($readings as $reading) {
            $i = $reading->day->number - $record->first->number;
            $low = $record->minimum[$i] ?? null;
            $high = $record->maximum[$i] ?? null;
            if ($low !== null && $high !== null) {
                $means[] = [$i, self::dailyMean($reading, $low, $high, $site)];
            }
        }
        if ($means === []) {
            throw new ReadingsRefused(Phrase::of('error.readings.no-day-on-record'));
        }
        $residuals = static fn (float $rate): array => self::residuals($record, $latitude, $site, $rate, $means);
        $before = $residuals($site->rate);
        $temperatures = array_column($means, 1);
        $fit = count($means) >= self::READINGS_FOR_RATE && max($temperatures) - min($temperatures) >= self::SPAN_FOR_RATE;
        $rate = $fit ? self::fittedRate($residuals) : $site->rate;
        $after = $residuals($rate);
        $offset = (Median::of($after) * count($after)) / (count($after) + 3);

        $points = [];
        foreach ($means as $n => [$i, $mean]) {
            $points[] = [
                'day' => $record->first->plus($i),
                'reading' => $mean,
                'before' => $mean - $before[$n],
                'after' => $mean - $after[$n] + $offset,
            ];
        }

        return new self(
            $offset,
            $rate,
            $fit,
            count($means),
            self::meanAbsolute($before, 0.0),
            self::meanAbsolute($after, $offset),
            $points,
        );
    }

    /** @return float °C, the reading minus the daily wave at its hour */
    public static function dailyMean(ProbeReading $reading, float $minimum, float $maximum, Site $site): float
    {
        $damping = $site->depth / sqrt(($site->diffusivity * 86400) / M_PI);

        return $reading->celsius - (($maximum - $minimum) / 2) * exp(-$damping) * sin((2 * M_PI * ($reading->hour - 8.5)) / 24 - $damping);
    }

    /**
     * @param  callable(float): list<float>  $residuals
     * @return float the rate with the least absolute error around its own median
     */
    private static function fittedRate(callable $residuals): float
    {
        [$least, $most, $step] = self::RATES;
        $best = [INF, $least];
        for ($i = 0; $least + $i * $step <= $most + Tolerance::SUMS; $i++) {
            $rate = $least + $i * $step;
            $left = $residuals($rate);
            $best = min($best, [self::meanAbsolute($left, Median::of($left)), $rate]);
        }

        return $best[1];
    }

    /**
     * @param  list<array{int, float}>  $means  day of the record, and the reading as a daily mean
     * @return list<float> reading minus model, °C
     */
    private static function residuals(DailyRecord $record, Latitude $latitude, Site $site, float $rate, array $means): array
    {
        $model = SoilTemperature::of($record, $latitude, $site->withRate($rate))->dailyMean;

        return array_map(static fn (array $m): float => $m[1] - (float) $model[$m[0]], $means);
    }

    /** @param  list<float>  $values not empty */
    private static function meanAbsolute(array $values, float $about): float
    {
        return array_sum(array_map(static fn (float $v): float => abs($v - $about), $values)) / count($values);
    }
}
