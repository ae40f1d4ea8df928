<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How a day's light counts for growth: three rules growers use. */
enum LightSchool: string
{
    /** In proportion to the radiation at the top of the atmosphere, full from 30 MJ m⁻² d⁻¹. */
    case Radiation = 'radiation';

    /** Nothing grows on days of ten hours or fewer. */
    case TenHour = 'ten-hour';

    /** Light is ignored. */
    case None = 'none';

    private const FULL = 30.0;

    private const SHORT_DAY = 10.0;

    /**
     * @param  float  $radiation  MJ m⁻² d⁻¹ at the top of the atmosphere
     * @param  float  $hours  sunrise to sunset
     * @return float the share of growth the light allows, 0…1
     */
    public function share(float $radiation, float $hours): float
    {
        return match ($this) {
            self::Radiation => min(1.0, $radiation / self::FULL),
            self::TenHour => $hours > self::SHORT_DAY ? 1.0 : 0.0,
            self::None => 1.0,
        };
    }
}
