<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How deep and how far apart, in cm. */
final readonly class Spacing
{
    /**
     * @param  float  $perSquareFoot  plants in a square of 30 cm
     * @param  float|null  $yieldKgPerM  rough yield of a meter of row
     */
    public function __construct(
        public float $depthCm,
        public float $spacingCm,
        public float $rowCm,
        public ?float $perSquareFoot,
        public ?float $yieldKgPerM,
    ) {
    }
}
