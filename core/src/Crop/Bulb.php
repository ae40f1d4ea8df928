<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** A bulb that starts bulbing at a certain day length, and perhaps needs warmth. */
final readonly class Bulb
{
    /**
     * @param  float  $juvenileDays  growth-days after which it is full-sized when bulbing starts
     * @param  float|null  $fromC  mean of seven days that bulbing needs, °C; null: any
     */
    public function __construct(public float $criticalDayHours, public float $juvenileDays, public ?float $fromC = null)
    {
    }
}
