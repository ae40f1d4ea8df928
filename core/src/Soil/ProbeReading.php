<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Record\Day;

/** What a soil probe showed: on which day, at which local hour (0…24), °C, how deep (m). */
final readonly class ProbeReading
{
    public function __construct(public Day $day, public float $hour, public float $celsius, public float $depth = Site::DEPTH)
    {
    }
}
