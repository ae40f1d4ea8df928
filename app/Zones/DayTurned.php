<?php

declare(strict_types=1);

namespace App\Zones;

/** A new day has begun in a zone, by its own clock. */
final readonly class DayTurned
{
    public function __construct(public int $zoneId)
    {
    }
}
