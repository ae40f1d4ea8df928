<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Settlement;
use App\Models\Zone;
use App\Support\ZoneWindows;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Zone $resource */
class ZoneResource extends JsonResource
{
    /** What has to be loaded with a zone for its resource. */
    public const RELATIONS = ['settlements', 'station.record', 'currentEdition', 'latestComputation'];

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $zone = $this->resource;
        $record = $zone->station?->record;

        return [
            'slug' => $zone->slug,
            'name' => $zone->name,
            'district' => $zone->district,
            'latitude' => $zone->latitude,
            'longitude' => $zone->longitude,
            'height_m' => $zone->height_m,
            'hemisphere' => $zone->toPlace()->latitude->isNorth() ? 'north' : 'south',
            'settlements' => $zone->settlements->map(static fn (Settlement $s): array => $s->toArray())->all(),
            'record' => $record === null ? null : ZoneWindows::recordNote($record),
            'edition' => $zone->currentEdition === null ? null : new EditionResource($zone->currentEdition->setRelation('zone', $zone)),
            'computation' => $zone->latestComputation === null ? null : new ComputationResource($zone->latestComputation),
        ];
    }
}
