<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;
use InvalidArgumentException;

/** A crop's stay in a bed, from sowing or transplanting to the last harvest: planned, growing, or finished. */
final readonly class Occupancy
{
    /**
     * @param  string  $key  identifies it
     * @param  float  $metres  length of the bed it takes
     * @param  string|null  $between  key of the stay whose rows it grows between, in space that belongs to that one; null: it has its own
     *   space
     *
     * @throws InvalidArgumentException if it ends before it starts, or takes no space
     */
    public function __construct(
        public string $key,
        public Crop $crop,
        public Day $from,
        public Day $to,
        public float $metres,
        public ?string $between = null,
    ) {
        if ($to->isBefore($from) || $metres <= 0.0) {
            throw new InvalidArgumentException('A stay ends after it begins, and takes some of a bed.');
        }
    }

    public function isOn(int $day): bool
    {
        return $this->from->number <= $day && $day <= $this->to->number;
    }

    public function overlaps(Day $from, Day $to): bool
    {
        return ! $to->isBefore($this->from) && ! $this->to->isBefore($from);
    }
}
