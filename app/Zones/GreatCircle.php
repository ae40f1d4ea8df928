<?php

declare(strict_types=1);

namespace App\Zones;

/** Distances on the sphere of the earth, by the haversine formula. */
final class GreatCircle
{
    private const RADIUS_KM = 6371.0;

    /** @return float km between two places, in degrees */
    public static function kilometres(float $latitude, float $longitude, float $otherLatitude, float $otherLongitude): float
    {
        [$a, $b] = [deg2rad($latitude), deg2rad($otherLatitude)];
        $h = sin(($b - $a) / 2) ** 2 + cos($a) * cos($b) * sin(deg2rad($otherLongitude - $longitude) / 2) ** 2;

        return 2 * self::RADIUS_KM * asin(min(1.0, sqrt($h)));
    }
}
