<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Record\YearDay;

/** One planting of a succession, in days after the day the succession starts on. */
final readonly class SuccessionSowing
{
    /**
     * @param  int  $after  days after which it is sown, or transplanted
     * @param  int  $first  days after which its harvest starts, in half of the years that come to one
     * @param  int  $last  days after which its harvest ends
     */
    public function __construct(public YearDay $on, public int $after, public int $first, public int $last)
    {
    }
}
