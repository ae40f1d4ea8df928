<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Carbon;

/** For models whose dates people read: they are those of the day taken for today, which in the demonstration is its own. */
trait DatedByToday
{
    public function freshTimestamp(): Carbon
    {
        return Today::now();
    }
}
