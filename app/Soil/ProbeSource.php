<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Record\Day;

/** A connected soil probe. */
interface ProbeSource
{
    /** @return float|null °C it shows this many seconds after it was inserted at a spot; null: it is not there */
    public function figure(SoilSpot $spot, Day $day, float $seconds): ?float;

    /** @return string|null its name on the screen; null: none is connected */
    public function name(): ?string;

    /** @return float seconds of the probe that pass in one second of the clock */
    public function pace(): float;
}
