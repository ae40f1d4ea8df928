<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** The heat that ends a crop: the so many-th day with a maximum at or above a temperature. */
final readonly class HeatLimit
{
    /**
     * @param  float  $maximumC  daily maximum, °C
     * @param  int  $days  how many of them
     * @param  float  $fromShare  share of growth from which they count
     */
    public function __construct(public float $maximumC, public int $days, public float $fromShare)
    {
    }
}
