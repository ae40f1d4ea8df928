<?php

declare(strict_types=1);

namespace Anthesis\Water;

use Anthesis\Soil\Ground;

/**
 * How dry the top of bare ground is, as mm of water gone from it; FAO Irrigation and Drainage Paper 56, equations 71 to 77. There, rain
 * falls in the morning; here, it counts at the end of the day, which dries a wet day a little less.
 */
final readonly class TopSoil
{
    /** The most that bare wet ground evaporates, in reference evapotranspirations. */
    private const MOST = 1.15;

    /** The most that can evaporate, mm. */
    public float $most;

    private float $readily;

    /** @param  float  $depth  of the layer, m */
    public function __construct(public Ground $ground, float $depth)
    {
        $this->most = $ground->evaporable($depth);
        $this->readily = $ground->readily($depth);
    }

    /**
     * @param  float  $gone  mm gone the evening before
     * @param  float  $reaching  mm that reached the ground
     * @param  float  $et0  reference evapotranspiration of the day, mm
     * @return float mm gone this evening
     */
    public function dried(float $gone, float $reaching, float $et0): float
    {
        $share = $gone <= $this->readily ? 1.0 : max(0.0, ($this->most - $gone) / ($this->most - $this->readily));

        return $this->within($gone - $reaching + self::MOST * $share * $et0);
    }

    /** The same for ground that is frozen or under snow, from which nothing evaporates. */
    public function wetted(float $gone, float $reaching): float
    {
        return $this->within($gone - $reaching);
    }

    private function within(float $gone): float
    {
        return min($this->most, max(0.0, $gone));
    }
}
