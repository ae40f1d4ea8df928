<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Record\YearDay;

/** One sowing of a succession, in days after the day the succession begins with. */
final readonly class SuccessionSowing
{
    /**
     * @param  int  $after  days after which it is sown, or set out
     * @param  int  $first  days after which its harvest begins, in half the years that come to one
     * @param  int  $last  days after which its harvest ends
     */
    public function __construct(public YearDay $on, public int $after, public int $first, public int $last)
    {
    }
}
