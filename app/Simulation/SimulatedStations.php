<?php

declare(strict_types=1);

namespace App\Simulation;

/** The weather of the demonstration's places, by their zone. */
final class SimulatedStations
{
    /** The first year of any of their records. */
    public const FIRST_YEAR = 1995;

    /** The demonstration starts in a cold spring in Kestrel Basin. */
    private const COLD_SPRING = ['year' => 2026, 'from' => 40, 'to' => 112, 'by' => 6.0];

    /** @return SimulatedClimate|null null if the zone does not belong to the demonstration */
    public static function climate(string $zone): ?SimulatedClimate
    {
        return match ($zone) {
            'lakeshore' => new SimulatedClimate(10.2, 10.6, 205, [9.5, 1.0], [3.6, 0.6], 0.72, 0.25, 46801, self::COLD_SPRING),
            'basin-floor' => new SimulatedClimate(9.2, 11.9, 200, [12.6, 2.4], [4.2, 0.8], 0.72, 0.25, 46702, self::COLD_SPRING, [0.25, 0.22, 5.0]),
            'orchard-bench' => new SimulatedClimate(9.6, 11.4, 201, [11.5, 2.0], [4.0, 0.7], 0.72, 0.25, 46903, self::COLD_SPRING, [0.28, 0.24, 5.5]),
            'high-meadow' => new SimulatedClimate(5.2, 11.8, 203, [13.0, 2.0], [4.6, 1.0], 0.74, 0.25, 47104, self::COLD_SPRING, [0.36, 0.3, 6.0]),
            'saltbush-flats' => new SimulatedClimate(23.4, 10.4, 201, [15.0, 1.0], [3.2, 0.6], 0.7, 0.0, 32905, rain: [0.1, 0.06, 6.0]),
            'averrin-sound' => new SimulatedClimate(13.7, 5.0, 22, [9.5, 1.0], [2.5, 0.2], 0.62, 0.0, 38306, rain: [0.45, 0.25, 5.5]),
            default => null,
        };
    }
}
