<?php

declare(strict_types=1);

namespace Anthesis\Sun;

use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/**
 * Radiation at the top of the atmosphere.
 *
 * Allen, R. G. et al. (1998), Crop evapotranspiration, FAO Irrigation and Drainage Paper 56, equation 21.
 */
final class Radiation
{
    /** MJ m⁻² min⁻¹ */
    private const SOLAR_CONSTANT = 0.082;

    /** @return float MJ m⁻² d⁻¹ */
    public static function onDay(Latitude $latitude, YearDay $day): float
    {
        $phi = deg2rad($latitude->degrees);
        $angle = (2 * M_PI * $day->number) / YearDay::YEAR;
        $distance = 1 + 0.033 * cos($angle);
        $declination = 0.409 * sin($angle - 1.39);
        $sunset = acos(max(-1.0, min(1.0, -tan($phi) * tan($declination))));

        return ((24 * 60) / M_PI) *
            self::SOLAR_CONSTANT *
            $distance *
            ($sunset * sin($phi) * sin($declination) + cos($phi) * cos($declination) * sin($sunset));
    }

    /** @return non-empty-list<float> MJ m⁻² d⁻¹, length 365, for sow day i+1 */
    public static function throughTheYear(Latitude $latitude): array
    {
        return array_map(static fn (int $day): float => self::onDay($latitude, YearDay::fromNumber($day)), range(1, YearDay::YEAR));
    }
}
