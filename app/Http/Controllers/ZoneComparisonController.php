<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Anthesis\Calendar\ZoneComparison;
use App\Http\Resources\ZoneComparisonResource;
use App\Support\ZoneClimates;

class ZoneComparisonController
{
    public function show(): ZoneComparisonResource
    {
        return new ZoneComparisonResource(ZoneComparison::of(ZoneClimates::all()));
    }
}
