<?php

declare(strict_types=1);

namespace Anthesis\Water;

/** When a planting needs water next, on one course of the weather. */
final readonly class Due
{
    /**
     * @param  int|null  $day  day of the record, in the evening; null: not on the days looked at
     * @param  float  $millimetres  amount it takes then
     * @param  int|null  $since  the earlier day since which it has been due every evening; null: it was not
     * @param  int|null  $rained  the latest day before today on which rain took care of what had been due; null: none
     */
    public function __construct(public ?int $day, public float $millimetres, public ?int $since, public ?int $rained)
    {
    }
}
