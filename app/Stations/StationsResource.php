<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\StationFit;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Zone $resource */
class StationsResource extends JsonResource
{
    /** The most spans that are listed; the CSV has every day. */
    private const MOST = 60;

    /**
     * @param  list<Station>  $used  in order
     * @param  list<Station>  $setAside
     */
    public function __construct(
        Zone $zone,
        private readonly ?ZoneRecord $record,
        private readonly array $used,
        private readonly array $setAside,
    ) {
        parent::__construct($zone);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $zone = $this->resource;
        $record = $this->record;
        $fits = $names = [];
        foreach ($record->stations ?? [] as $i => $station) {
            $fits[$station->id] = $record?->filled->fits[$i];
            $names[] = $station->name;
        }
        $spans = $record?->filled->filledIn() ?? [];

        return [
            'version' => $zone->version,
            'stations' => array_map(fn (Station $s): array => $this->station($s, $fits[$s->id] ?? null), $this->used),
            'set_aside' => array_map(fn (Station $s): array => $this->station($s, null), $this->setAside),
            'filled_in' => array_map(
                static fn (array $span): array => [
                    'from' => $span['from']->iso(),
                    'to' => $span['to']->iso(),
                    'station' => $names[$span['station']],
                ],
                array_slice($spans, 0, self::MOST),
            ),
            'filled_in_count' => count($spans),
        ];
    }

    /** @return array<string, mixed> */
    private function station(Station $station, ?StationFit $fit): array
    {
        return [
            'id' => $station->id,
            'name' => $station->name,
            'height_m' => $station->height_m,
            'lapse' => $station->lapse,
            'matched' => $station->matched,
            'first' => $station->record?->first_day->format('Y-m-d'),
            'last' => $station->record?->last_day->format('Y-m-d'),
            'fit' => $fit === null
                    ? null
                    : [
                        'height' => round($fit->height, 2),
                        'minimum_bias' => $fit->minimumBias === null ? null : round($fit->minimumBias, 2),
                        'maximum_bias' => $fit->maximumBias === null ? null : round($fit->maximumBias, 2),
                        'overlap' => $fit->overlap,
                        'minima' => $fit->minima,
                        'maxima' => $fit->maxima,
                    ],
        ];
    }
}
