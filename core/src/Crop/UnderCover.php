<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How seedlings are raised. */
final readonly class UnderCover
{
    /**
     * @param  SeedlingWeeks|null  $weeks  null: never set out
     * @param  float  $soilC  soil temperature under cover, °C
     * @param  float  $checkDays  growth-days lost at transplanting
     */
    public function __construct(public ?SeedlingWeeks $weeks, public float $soilC, public float $checkDays)
    {
    }
}
