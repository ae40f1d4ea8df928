<?php

declare(strict_types=1);

namespace App\Zones;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A zone on the map: its position, and its boundary with the corners that show.
 *
 * @property array{zone: Zone, boundary: Boundary|null} $resource
 */
class ZoneOutlineResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        ['zone' => $zone, 'boundary' => $boundary] = $this->resource;

        return [
            'zone' => $zone->slug,
            'name' => $zone->name,
            'longitude' => $zone->longitude,
            'latitude' => $zone->latitude,
            'rings' => $boundary?->drawn() ?? [],
        ];
    }
}
