<?php

declare(strict_types=1);

namespace Anthesis\Sun;

use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/**
 * Length of the day in hours.
 *
 * Forsythe, W. C. et al. (1995), A model comparison for daylength as a function of latitude and day of year, Ecological
 * Modelling 80, 87–95 (the CBM model).
 */
final class DayLength
{
    /** Sun's center below the horizon at sunrise and sunset, degrees: refraction and radius. */
    private const SUNRISE = 0.8333;

    private const CIVIL_TWILIGHT = 6.0;

    /** @return float hours from sunrise to sunset, 0…24 */
    public static function hours(Latitude $latitude, YearDay $day): float
    {
        return self::lengthOf($latitude, $day, self::SUNRISE);
    }

    /** @return float hours from the start of civil twilight to its end, 0…24 */
    public static function withTwilight(Latitude $latitude, YearDay $day): float
    {
        return self::lengthOf($latitude, $day, self::CIVIL_TWILIGHT);
    }

    /** @return non-empty-list<float> hours from sunrise to sunset, length 365, for sow day i+1 */
    public static function throughTheYear(Latitude $latitude): array
    {
        return array_map(static fn (int $day): float => self::hours($latitude, YearDay::fromNumber($day)), range(1, YearDay::YEAR));
    }

    /** @return non-empty-list<float> hours with civil twilight, length 365, for sow day i+1 */
    public static function twilightThroughTheYear(Latitude $latitude): array
    {
        return array_map(static fn (int $day): float => self::withTwilight($latitude, YearDay::fromNumber($day)), range(1, YearDay::YEAR));
    }

    private static function lengthOf(Latitude $latitude, YearDay $day, float $depression): float
    {
        $theta = 0.2163108 + 2 * atan(0.9671396 * tan(0.0086 * ($day->number - 186)));
        $declination = asin(0.39795 * cos($theta));
        $phi = deg2rad($latitude->degrees);
        $argument = (sin(deg2rad($depression)) + sin($phi) * sin($declination)) / (cos($phi) * cos($declination));

        return 24 - (24 / M_PI) * acos(max(-1.0, min(1.0, $argument)));
    }
}
