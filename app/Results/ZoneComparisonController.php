<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\ZoneComparison;

class ZoneComparisonController
{
    public function show(): ZoneComparisonResource
    {
        return new ZoneComparisonResource(ZoneComparison::of(ZoneClimates::all()));
    }
}
