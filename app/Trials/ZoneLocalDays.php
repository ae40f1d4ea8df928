<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use App\Crops\Crop;
use App\Crops\LocalDaysOfCrop;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Sites\Site as ZoneSite;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Local days to maturity from the plantings in a zone's log, by crop, variety, and way of growing, with their evidence; and those an
 * educator adopted.
 *
 * @phpstan-type Row array{on: string, up: string|null, picked: string, bed: string|null, site: int|null}
 */
final readonly class ZoneLocalDays
{
    /** The most plantings used for each, latest first; more would hardly change it. */
    public const MOST = 30;

    public function __construct(private PlaceOf $places)
    {
    }

    /** @return list<array<string, mixed>> as the contract's LocalDays, by name */
    public function of(Zone $zone): array
    {
        $place = $this->places->zone($zone);
        if ($place === null) {
            return [];
        }
        $groups = $this->groups($zone);
        $held = LocalDaysOfCrop::holdingIn($zone)
            ->with(['crop', 'user'])
            ->get();
        $results = self::results($place, $groups);
        $told = [];
        foreach ($groups as $key => [$crop, $variety, $route, , $rows]) {
            $content = $results[$key];
            if ($content !== null) {
                $own = $held->first(static fn (LocalDaysOfCrop $l): bool => $l->crop_id === $crop->id && $l->variety === $variety);
                $told[] =
                    [
                        'crop' => $crop->slug,
                        'name' => $crop->cells['name'],
                        'variety' => $variety,
                        'route' => $route->value,
                        'held' => $own === null ? null : $this->held($own),
                        'seen' => array_map(static fn (array $row): array => array_diff_key($row, ['site' => true]), $rows),
                    ] + $content;
            }
        }
        usort(
            $told,
            static fn (array $a, array $b): int => [$a['name'], $a['variety'] ?? '', $a['route']] <=> [
                $b['name'],
                $b['variety'] ?? '',
                $b['route'],
            ],
        );

        return $told;
    }

    /** @return array<string, mixed>|null what the plantings of one of them say now */
    public function one(Zone $zone, Crop $crop, ?string $variety, Route $route): ?array
    {
        foreach ($this->of($zone) as $told) {
            if ([$told['crop'], $told['variety'], $told['route']] === [$crop->slug, $variety, $route->value]) {
                return $told;
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> what was adopted and undone, latest first */
    public function history(Zone $zone): array
    {
        return array_values(
            LocalDaysOfCrop::query()
                ->where('zone_id', $zone->id)
                ->with(['crop', 'user'])
                ->orderByDesc('id')
                ->limit(100)
                ->get()
                ->map(
                    fn (LocalDaysOfCrop $l): array => [
                        'crop' => $l->crop->slug,
                        'name' => $l->crop->cells['name'],
                        'variety' => $l->variety,
                    ] + $this->held($l),
                )
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private function held(LocalDaysOfCrop $own): array
    {
        return [
            'id' => $own->id,
            'packet_days' => $own->packet_days,
            'days' => $own->days,
            'sowings' => $own->sowings,
            'error_before' => $own->error_before,
            'error_after' => $own->error_after,
            'by' => $own->user?->name,
            'on' => $own->created_at->format('Y-m-d'),
            'undone_on' => $own->undone_at?->format('Y-m-d'),
        ];
    }

    /** @return array<string, array{Crop, string|null, Route, CropParameters, list<Row>}> with the packet's own days */
    private function groups(Zone $zone): array
    {
        $crops = Crop::query()->with('varieties')->get()->keyBy('id');
        $groups = [];
        foreach (self::latest($zone) as $row) {
            $crop = $crops[$row->crop_id];
            $known = $row->variety === null ? null : $crop->varieties->firstWhere('name', $row->variety);
            $key = "{$row->crop_id}\n{$known?->name}\n{$row->raised}";
            $groups[$key] ??= [
                $crop,
                $known?->name,
                $row->raised ? Route::Transplant : Route::Direct,
                $known?->toCore($crop) ?? $crop->toCore(),
                [],
            ];
            if (count($groups[$key][4]) < self::MOST) {
                $groups[$key][4][] = [
                    'on' => $row->put_in,
                    'up' => $row->up_on,
                    'picked' => $row->picked,
                    'bed' => $row->bed,
                    'site' => $row->site,
                ];
            }
        }

        return $groups;
    }

    /** @return iterable<object> the latest plantings of each crop and variety that came to harvest */
    private static function latest(Zone $zone): iterable
    {
        // Rows, not models, and only the latest of each crop and variety, because a log has many years of them.
        $latest = DB::table('sowings')
            ->where('zone_id', $zone->id)
            ->where('taken_back', false)
            ->whereNotNull('first_picked_on')
            ->whereNotNull(DB::raw('IF(under_cover OR sown_on IS NULL, set_out_on, sown_on)'))
            ->selectRaw(
                'id, crop_id, variety, bed_id, up_on, first_picked_on AS picked, (under_cover OR sown_on IS NULL) AS raised, IF(under_cover OR sown_on IS NULL, set_out_on, sown_on) AS put_in',
            )
            ->selectRaw(
                'ROW_NUMBER() OVER (PARTITION BY crop_id, variety, under_cover OR sown_on IS NULL ORDER BY first_picked_on DESC, id DESC) AS place',
            );

        return DB::query()
            ->fromSub($latest, 'latest')
            ->leftJoin('beds', 'beds.id', '=', 'latest.bed_id')
            ->where('place', '<=', self::MOST)
            ->orderByDesc('picked')
            ->orderByDesc('latest.id')
            ->get(['crop_id', 'variety', 'up_on', 'picked', 'raised', 'put_in', 'beds.name AS bed', 'beds.site_id AS site']);
    }

    /**
     * @param  array<string, array{Crop, string|null, Route, CropParameters, list<Row>}>  $groups
     * @return array<string, array<string, mixed>|null> null if the record says nothing about them
     */
    private static function results(Place $place, array $groups): array
    {
        $sites =
            ['' => $place->site()] +
            ZoneSite::query()->get()->mapWithKeys(static fn (ZoneSite $s): array => [$s->id => $s->toCore()])->all();
        $questions = [];
        foreach ($groups as $key => [, , $route, $crop, $rows]) {
            $questions[$key] = new LocalDaysQuestion(
                $crop,
                $route,
                array_map(
                    static fn (array $row): array => [
                        'site' => $sites[$row['site'] ?? ''] ?? $sites[''],
                        'on' => $row['on'],
                        'up' => $row['up'],
                        'picked' => $row['picked'],
                    ],
                    $rows,
                ),
            );
        }

        return array_map(static fn (array $content): ?array => $content['told'], Results::each($place, $questions));
    }
}
