<?php

declare(strict_types=1);

namespace Anthesis\Water;

/** The water a sowing had to be given, from sowing to its last day of harvest. */
final readonly class Watered
{
    /**
     * @param  int  $waterings  from emergence, or transplanting, on
     * @param  float  $millimetres  in all of them
     * @param  float  $thirstiestWeek  mm the crop used in its thirstiest seven days in a row
     * @param  int  $sprinklings  that kept the row moist until it was up
     */
    public function __construct(
        public int $waterings,
        public float $millimetres,
        public float $thirstiestWeek,
        public int $sprinklings,
    ) {
    }

    /** @return float liters for so many meters of row, so many meters apart */
    public function litres(float $rowSpacing, float $metres): float
    {
        return $this->millimetres * $rowSpacing * $metres;
    }
}
