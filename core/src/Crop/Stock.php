<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** Planting stock (cloves, sets) that is dormant or not available except on some days of the year. */
final readonly class Stock
{
    /** @param  int  $fromDays  days after the longest day from which it can be planted; $toDays: the last such day; both included */
    public function __construct(public int $fromDays, public int $toDays)
    {
    }
}
