<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;
use InvalidArgumentException;

/** A crop's stay on a bed: from sowing or transplanting to the last harvest; planned, under way or done. */
final readonly class Occupancy
{
    /**
     * @param  string  $key  what it is known by
     * @param  float  $metres  of the bed's length it takes
     * @param  string|null  $between  key of the stay between whose rows it stands, on meters that are that one's; null: on its own
     *
     * @throws InvalidArgumentException when it ends before it begins, or takes nothing
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
