<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How long one planting is harvested, in days. */
final readonly class Harvest
{
    /** @param  int  $leastDays  the shortest harvest worth having */
    public function __construct(public int $days, public int $leastDays)
    {
    }
}
