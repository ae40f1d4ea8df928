<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** How a station was adjusted before it filled gaps, and how many values it supplied. */
final readonly class StationFit
{
    /**
     * @param  float  $height  added for its elevation, °C
     * @param  float|null  $minimumBias  added to its minima besides, °C; null: not estimated
     * @param  float|null  $maximumBias  added to its maxima besides, °C; null: not estimated
     * @param  int  $overlap  days on which both it and the stations before it have a minimum and a maximum
     * @param  int  $minima  values it supplies to the filled series
     * @param  int  $maxima  the same for maxima
     */
    public function __construct(
        public float $height,
        public ?float $minimumBias,
        public ?float $maximumBias,
        public int $overlap,
        public int $minima,
        public int $maxima,
    ) {
    }
}
