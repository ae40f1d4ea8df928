<?php

declare(strict_types=1);

namespace Anthesis\Window;

/** Days on which a crop usually works, though not often enough to be a window. */
final readonly class FairChance
{
    /** @param  int  $ofTen  years in ten that came to harvest, on the mean of its days, rounded down */
    public function __construct(public SowingWindow $days, public int $ofTen)
    {
    }
}
