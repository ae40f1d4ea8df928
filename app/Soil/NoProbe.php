<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Record\Day;

/** For when no probe is connected: figures are typed. */
final class NoProbe implements ProbeSource
{
    public function figure(SoilSpot $spot, Day $day, float $seconds): ?float
    {
        return null;
    }

    public function name(): ?string
    {
        return null;
    }

    public function pace(): float
    {
        return 1.0;
    }
}
