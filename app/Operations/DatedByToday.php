<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Support\Carbon;

/** For models whose dates people read. They come from the day used as today, which the demonstration sets itself. */
trait DatedByToday
{
    public function freshTimestamp(): Carbon
    {
        return Today::now();
    }
}
