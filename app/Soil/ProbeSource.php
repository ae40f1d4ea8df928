<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Record\Day;

/** A soil probe that is connected. */
interface ProbeSource
{
    /** @return float|null °C it shows so many seconds after it was put into a spot; null: it is not there */
    public function figure(SoilSpot $spot, Day $day, float $seconds): ?float;

    /** @return string|null what it is called on the screen; null: none is connected */
    public function name(): ?string;

    /** @return float seconds of the probe that pass in one of the clock */
    public function pace(): float;
}
