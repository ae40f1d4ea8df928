<?php

declare(strict_types=1);

namespace App\Zones;

/** A day has begun in a zone, by the clock there. */
final readonly class DayTurned
{
    public function __construct(public int $zoneId)
    {
    }
}
