<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** A bulb whose bulbing waits for a length of day. */
final readonly class Bulb
{
    /** @param  float  $juvenileDays  growth-days after which it is full-sized when bulbing starts */
    public function __construct(public float $criticalDayHours, public float $juvenileDays)
    {
    }
}
