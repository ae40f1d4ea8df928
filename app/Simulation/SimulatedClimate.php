<?php

declare(strict_types=1);

namespace App\Simulation;

/** The climate of an invented place, as docs/demo.md describes it. Temperatures °C. */
final readonly class SimulatedClimate
{
    /**
     * @param  float  $amplitude  half the yearly swing of the daily mean
     * @param  int  $peak  day of the year of the warmest mean
     * @param  array{float, float}  $range  mean daily range, and the amplitude of its yearly swing
     * @param  array{float, float}  $deviation  standard deviation of the daily mean, and its amplitude (larger in winter)
     * @param  float  $persistence  share of a day's departure that carries over to the next
     * @param  float  $trend  °C per decade
     * @param  array{year: int, from: int, to: int, by: float}|null  $cold  a cold spell in one year: its first and last day of the year,
     *   and how much colder its middle is, °C
     * @param  array{float, float, float}|null  $rain  share of wet days in the cold and in the warm half of the year, and mean mm of a wet
     *   day; null: the station measures none
     */
    public function __construct(
        public float $mean,
        public float $amplitude,
        public int $peak,
        public array $range,
        public array $deviation,
        public float $persistence,
        public float $trend,
        public int $seed,
        public ?array $cold = null,
        public ?array $rain = null,
    ) {
    }

    /** @return float how much colder a day is, °C: most in the middle of the spell */
    public function colder(int $year, int $dayOfYear): float
    {
        return $this->cold === null || $year !== $this->cold['year'] || $dayOfYear < $this->cold['from'] || $dayOfYear > $this->cold['to']
            ? 0.0
            : $this->cold['by'] * sin((M_PI * ($dayOfYear - $this->cold['from'])) / ($this->cold['to'] - $this->cold['from']));
    }
}
