<?php

declare(strict_types=1);

namespace App\Stations;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property StationDevice $resource */
class StationDeviceResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $device = $this->resource;

        return [
            'id' => $device->id,
            'station' => $device->station_id,
            'name' => $device->name,
            'reported_at' => $device->reported_at?->toIso8601String(),
        ];
    }
}
