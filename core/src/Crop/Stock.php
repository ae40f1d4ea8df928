<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** Planting stock (cloves, sets) that is at rest, or not to be had, except for some days of the year. */
final readonly class Stock
{
    /** @param  int  $fromDays  days after the longest day from which it can be planted; $toDays: until which, both included */
    public function __construct(public int $fromDays, public int $toDays)
    {
    }
}
