<?php

declare(strict_types=1);

namespace Anthesis\Water;

/** The water a planting had to be given, from sowing to its last day of harvest. */
final readonly class Watered
{
    /**
     * @param  int  $waterings  from emergence, or transplanting, on
     * @param  float  $millimetres  in all of them
     * @param  float  $thirstiestWeek  mm the crop used in its thirstiest seven days in a row
     * @param  int  $sprinklings  times the row was sprinkled until the seedlings were up
     */
    public function __construct(
        public int $waterings,
        public float $millimetres,
        public float $thirstiestWeek,
        public int $sprinklings,
    ) {
    }

    /** @return float liters for a row this long, m, with rows this far apart, m */
    public function litres(float $rowSpacing, float $metres): float
    {
        return $this->millimetres * $rowSpacing * $metres;
    }
}
