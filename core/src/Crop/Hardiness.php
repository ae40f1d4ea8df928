<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** The screen minima that kill a crop, °C. */
final readonly class Hardiness
{
    /** @param  float  $youngShare  share of growth for which a plant counts as young */
    public function __construct(public float $killYoungC, public float $killC, public float $youngShare)
    {
    }
}
