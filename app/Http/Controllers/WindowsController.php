<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\CropSheetResource;
use App\Http\Resources\WindowsResource;
use App\Models\Zone;
use App\Support\ZoneWindows;

class WindowsController
{
    private const NOT_YET = 'The zone has not been computed yet. Bring a station file first.';

    public function index(Zone $zone): WindowsResource
    {
        return new WindowsResource(ZoneWindows::of($zone) ?? abort(404, self::NOT_YET));
    }

    public function show(Zone $zone, string $crop): CropSheetResource
    {
        return new CropSheetResource(ZoneWindows::sheetOf($zone, $crop) ?? abort(404, "There is no crop “{$crop}” in this zone’s windows."));
    }
}
