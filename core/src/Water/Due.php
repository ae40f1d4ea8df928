<?php

declare(strict_types=1);

namespace Anthesis\Water;

/** When a sowing is to be watered next, on one course of the weather. */
final readonly class Due
{
    /**
     * @param  int|null  $day  of the record, in its evening; null: not on the days looked at
     * @param  float  $millimetres  that it takes then
     * @param  int|null  $since  the day before it since which it has been due each evening; null: it was not
     * @param  int|null  $rained  the latest day before today on which rain did what had been due; null: none
     */
    public function __construct(public ?int $day, public float $millimetres, public ?int $since, public ?int $rained)
    {
    }
}
