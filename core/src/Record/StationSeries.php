<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** A station's usable values, and how they are adjusted to the place they represent. */
final readonly class StationSeries
{
    /** Drop of air temperature with elevation in the standard atmosphere, °C per meter. */
    public const LAPSE = -0.0065;

    /**
     * @param  DailyRecord  $usable  after quality control
     * @param  float  $aboveM  the station's elevation minus the place's, m; 0 if not known
     * @param  float  $lapse  change of temperature with elevation, °C/m
     * @param  bool  $matched  whether the remaining difference is estimated from the days shared with the stations before it
     */
    public function __construct(
        public DailyRecord $usable,
        public float $aboveM = 0.0,
        public float $lapse = self::LAPSE,
        public bool $matched = true,
    ) {
    }

    /** @return float °C to add to the station's values for the place's elevation */
    public function heightCorrection(): float
    {
        return -$this->lapse * $this->aboveM;
    }
}
