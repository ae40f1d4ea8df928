<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** The temperatures that kill a crop, °C: screen minima or, for what sits in the ground, those of the soil. */
final readonly class Hardiness
{
    /**
     * @param  float  $youngShare  share of growth for which a plant counts as young
     * @param  bool  $bySoil  whether the soil, not the air, freezes it; a site's protection then adds nothing
     */
    public function __construct(public float $killYoungC, public float $killC, public float $youngShare, public bool $bySoil = false)
    {
    }
}
