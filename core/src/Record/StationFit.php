<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** What a station was corrected by before it filled in, and how much it gave. */
final readonly class StationFit
{
    /**
     * @param  float  $height  added for its height, °C
     * @param  float|null  $minimumBias  added to its minima on top, °C; null: not estimated
     * @param  float|null  $maximumBias  added to its maxima on top, °C; null: not estimated
     * @param  int  $overlap  days on which it and the stations before it both have minimum and maximum
     * @param  int  $minima  values it gives to the filled series
     * @param  int  $maxima  likewise
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
