<?php

declare(strict_types=1);

namespace App\Zones;

use Anthesis\Window\School\CountBack;
use App\Editions\EditionResource;
use App\Stations\Station;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Zone $resource */
class ZoneResource extends JsonResource
{
    /** What has to be loaded with a zone for its resource. */
    public const RELATIONS = [
        'settlements',
        'stations:id,zone_id,rank,name,record_id',
        'stations.record:id,station_id,first_day,last_day,checksum',
        'currentEdition',
        'latestComputation',
        'currentComputation',
    ];

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $zone = $this->resource;

        return [
            'slug' => $zone->slug,
            'version' => $zone->version,
            'name' => $zone->name,
            'district' => $zone->district,
            'latitude' => $zone->latitude,
            'longitude' => $zone->longitude,
            'height_m' => $zone->height_m,
            'time_zone' => $zone->time_zone,
            'hemisphere' => $zone->toCalendarZone()->latitude->isNorth() ? 'north' : 'south',
            'settlements' => $zone->settlements->map(static fn (Settlement $s): array => $s->toArray())->all(),
            'record' => $this->record($zone),
            'years' => $zone->years,
            'stale' => $zone->isStale(),
            'cold_seasons' => $zone->currentComputation?->cold_seasons,
            'short_record' => ($zone->currentComputation->method['school'] ?? null) === CountBack::KEY,
            'standard' => $zone->standard,
            'light' => $zone->light,
            'waits_for_soil' => $zone->waits_for_soil,
            'waits_for_ground' => $zone->waits_for_ground,
            'edition' => $zone->currentEdition === null ? null : new EditionResource($zone->currentEdition->setRelation('zone', $zone)),
            'computation' => $zone->latestComputation === null ? null : new ComputationResource($zone->latestComputation),
        ];
    }

    /** @return array{station: string, first: string, last: string, checksum: string}|null from the first to the last day of its stations */
    private function record(Zone $zone): ?array
    {
        $stations = $zone->stations->whereNotNull('record');
        $primary = $stations->first()?->record;

        return $primary === null
            ? null
            : [
                'station' => $stations->implode('name', ', '),
                'first' => (string) $stations->min(static fn (Station $s): ?string => $s->record?->first_day->format('Y-m-d')),
                'last' => (string) $stations->max(static fn (Station $s): ?string => $s->record?->last_day->format('Y-m-d')),
                'checksum' => $primary->checksum,
            ];
    }
}
