<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How seedlings are raised. */
final readonly class UnderCover
{
    /**
     * @param  SeedlingWeeks|null  $weeks  null: never transplanted
     * @param  float  $soilC  soil temperature indoors, °C
     * @param  float  $checkDays  growth-days lost at transplanting
     */
    public function __construct(public ?SeedlingWeeks $weeks, public float $soilC, public float $checkDays)
    {
    }
}
