<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** A station's usable values, and how they are brought to the place they are to stand for. */
final readonly class StationSeries
{
    /** Fall of the air temperature with height in the standard atmosphere, °C per meter. */
    public const LAPSE = -0.0065;

    /**
     * @param  DailyRecord  $usable  after quality control
     * @param  float  $aboveM  the station's height less the place's, m; 0 where it is not known
     * @param  float  $lapse  change of temperature with height, °C/m
     * @param  bool  $matched  whether what is left of a difference is taken from the overlap with the stations before it
     */
    public function __construct(
        public DailyRecord $usable,
        public float $aboveM = 0.0,
        public float $lapse = self::LAPSE,
        public bool $matched = true,
    ) {
    }

    /** @return float °C to add to the station's values for the place's height */
    public function heightCorrection(): float
    {
        return -$this->lapse * $this->aboveM;
    }
}
