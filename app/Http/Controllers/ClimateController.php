<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\ClimateResource;
use App\Models\Result;
use App\Models\Zone;

class ClimateController
{
    public function show(Zone $zone): ClimateResource
    {
        $computation = $zone->currentComputation;
        $ruler = Result::query()->find($computation?->ruler_hash);
        $climate = Result::query()->find($computation?->climate_hash);
        if ($ruler === null || $climate === null) {
            abort(404, 'The zone has not been computed yet. Bring a station file first.');
        }

        return new ClimateResource(['ruler' => $ruler->content(), 'climate' => $climate->content()]);
    }
}
