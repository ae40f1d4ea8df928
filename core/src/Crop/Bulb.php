<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** A bulb whose bulbing waits for a length of day, and perhaps for warmth. */
final readonly class Bulb
{
    /**
     * @param  float  $juvenileDays  growth-days after which it is full-sized when bulbing starts
     * @param  float|null  $fromC  mean of seven days that bulbing asks for, °C; null: any
     */
    public function __construct(public float $criticalDayHours, public float $juvenileDays, public ?float $fromC = null)
    {
    }
}
