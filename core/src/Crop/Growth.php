<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How long a crop takes, and at which mean air temperatures, °C, it grows. */
final readonly class Growth
{
    /**
     * @param  float  $maturityDays  packet days to first harvest, counted from $maturityBasis
     * @param  float  $baseC  nothing grows at or below it
     * @param  float  $optLowC  full growth from here …
     * @param  float  $optHighC  … to here
     * @param  float  $ceilingC  nothing grows at or above it
     * @param  float  $refC  the mean temperature at which the packet days are right
     * @param  int|null  $chillDays  cold days needed before it crops, or bulbs
     */
    public function __construct(
        public float $maturityDays,
        public MaturityBasis $maturityBasis,
        public float $baseC,
        public float $optLowC,
        public float $optHighC,
        public float $ceilingC,
        public float $refC,
        public ?int $chillDays,
    ) {
    }
}
