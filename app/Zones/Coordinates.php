<?php

declare(strict_types=1);

namespace App\Zones;

/** Where a place is, without signs: "47.45° N, 122.31° W". */
final class Coordinates
{
    public static function inWords(float $latitude, float $longitude): string
    {
        return round(abs($latitude), 2).
            '° '.
            ($latitude < 0 ? 'S' : 'N').
            ', '.
            round(abs($longitude), 2).
            '° '.
            ($longitude < 0 ? 'W' : 'E');
    }
}
