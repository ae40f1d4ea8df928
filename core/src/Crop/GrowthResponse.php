<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/**
 * How fast a crop grows at a mean air temperature, compared with the temperature at which its packet days are right: a trapezoid that rises
 * from base to the lower optimum, stays there, and falls from the upper optimum to the ceiling.
 */
final readonly class GrowthResponse
{
    private float $atReference;

    public function __construct(private Crop $crop)
    {
        $this->atReference = $this->trapezoid($crop->growth->refC);
    }

    /** @return float growth-days that a day at this temperature gives in full light; 1 at ref_c; 0 if the crop cannot grow at ref_c */
    public function at(float $celsius): float
    {
        return $this->atReference > 0.0 ? $this->trapezoid($celsius) / $this->atReference : 0.0;
    }

    private function trapezoid(float $celsius): float
    {
        $crop = $this->crop;

        return match (true) {
            $celsius <= $crop->growth->baseC, $celsius >= $crop->growth->ceilingC => 0.0,
            $celsius < $crop->growth->optLowC => ($celsius - $crop->growth->baseC) / ($crop->growth->optLowC - $crop->growth->baseC),
            $celsius <= $crop->growth->optHighC => 1.0,
            default => ($crop->growth->ceilingC - $celsius) / ($crop->growth->ceilingC - $crop->growth->optHighC),
        };
    }
}
