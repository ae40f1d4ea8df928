<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What makes a crop run to seed. */
final readonly class Bolting
{
    /**
     * @param  int|null  $chillDays  cold days, after which lengthening days do; null: they do not
     * @param  float|null  $dayHours  length of the days that do by themselves; null: none does
     * @param  float  $growthDays  growth-days on such days, from emergence, by which they have
     */
    public function __construct(public ?int $chillDays, public ?float $dayHours = null, public float $growthDays = 0.0)
    {
    }
}
