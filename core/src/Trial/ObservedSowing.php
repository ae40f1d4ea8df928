<?php

declare(strict_types=1);

namespace Anthesis\Trial;

use Anthesis\Record\Day;
use InvalidArgumentException;

/** A sowing or transplanting in the ground, with what was seen of it. */
final readonly class ObservedSowing
{
    /**
     * @param  Day  $on  of sowing, or of transplanting
     * @param  Day|null  $up  the day it came up; null: not seen
     *
     * @throws InvalidArgumentException if it came up before it was sown, or was harvested before either
     */
    public function __construct(public Day $on, public ?Day $up, public Day $firstHarvest)
    {
        if (($up !== null && $up->isBefore($on)) || $firstHarvest->number < ($up ?? $on)->number) {
            throw new InvalidArgumentException('What is sown comes up after it, and is picked after that.');
        }
    }
}
