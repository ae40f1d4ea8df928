<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How long one sowing is picked, in days. */
final readonly class Harvest
{
    /** @param  int  $leastDays  the shortest harvest that is worth it */
    public function __construct(public int $days, public int $leastDays)
    {
    }
}
