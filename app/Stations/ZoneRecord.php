<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Climate\RecordYears;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\FilledRecord;
use Anthesis\Record\Latitude;
use Anthesis\Record\StationSeries;
use App\Zones\Zone;

/**
 * The single series of a zone: its stations in order, each filling gaps of those before it, over the years the zone uses.
 *
 * @phpstan-import-type RecordNote from EditionDocument
 */
final readonly class ZoneRecord
{
    /** @param  list<Station>  $stations those that have a record, in order */
    private function __construct(public array $stations, public FilledRecord $filled, public DailyRecord $used)
    {
    }

    /** @return self|null null if no station has a record */
    public static function of(Zone $zone): ?self
    {
        $stations = self::withRecord($zone);

        return $stations === [] ? null : self::inOrder($zone, $stations);
    }

    /** @return array<string, DailyRecord> the days in use as they would be with another of the zone's stations first, by its name */
    public static function ledByOthers(Zone $zone): array
    {
        $stations = self::withRecord($zone);
        $led = [];
        foreach (array_slice($stations, 1) as $first) {
            $rest = array_filter($stations, static fn (Station $s): bool => $s->id !== $first->id);
            $led[$first->name] = self::inOrder($zone, [$first, ...array_values($rest)])->used;
        }

        return $led;
    }

    /** @return list<Station> in order */
    private static function withRecord(Zone $zone): array
    {
        return array_values(Station::usedBy($zone)->get()->filter(static fn (Station $s): bool => $s->record !== null)->all());
    }

    /** @param  non-empty-list<Station>  $stations */
    private static function inOrder(Zone $zone, array $stations): self
    {
        $filled = FilledRecord::of(array_map(static fn (Station $s): StationSeries => $s->toCore($zone), $stations));
        $record = RecordYears::atMost($filled->record);
        $used = $zone->years === null ? $record : RecordYears::latest($record, Latitude::of($zone->latitude), $zone->years);

        return new self($stations, $filled, $used);
    }

    /** @return string|null of everything the series is made of, without reading it; null if no station has a record */
    public static function fingerprint(Zone $zone): ?string
    {
        $stations = Station::query()
            ->where('zone_id', $zone->id)
            ->whereNotNull('rank')
            ->whereNotNull('record_id')
            ->with('decisions:id,station_id')
            ->orderBy('rank')
            ->get();
        $parts = $stations->map(
            static fn (Station $s): array => [
                $s->name,
                $s->record_id,
                $s->height_m,
                $s->lapse,
                $s->matched,
                $s->decisions->pluck('id')->sort()->values()->all(),
            ],
        );

        return $parts->isEmpty()
            ? null
            : hash('sha256', json_encode([$parts, $zone->height_m, $zone->latitude, $zone->years], JSON_THROW_ON_ERROR));
    }

    /** @return RecordNote */
    public function note(): array
    {
        return [
            'station' => implode(', filled in from ', array_map(static fn (Station $s): string => $s->name, $this->stations)),
            'first' => $this->used->first->iso(),
            'last' => $this->used->last()->iso(),
            'checksum' => $this->used->checksum(),
        ];
    }
}
