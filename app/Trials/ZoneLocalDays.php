<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\SeasonTables;
use Anthesis\Soil\Site;
use Anthesis\Trial\LocalDays;
use Anthesis\Trial\ObservedSowing;
use App\Crops\Crop;
use App\Results\Result;
use App\Results\Results;
use App\Sites\Site as ZoneSite;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Days to maturity as the sowings of a zone's log tell them, by crop, variety and way of growing, with their evidence; and those an
 * educator took.
 *
 * @phpstan-type Row array{on: string, up: string|null, picked: string, bed: string|null, site: int|null}
 */
final class ZoneLocalDays
{
    /** Sowings that are asked of each: the latest; more would hardly move it. */
    public const MOST = 30;

    /** @return list<array<string, mixed>> as the contract's LocalDays, by name */
    public function of(Zone $zone): array
    {
        $record = ZoneRecord::of($zone);
        if ($record === null) {
            return [];
        }
        $groups = $this->groups($zone);
        $held = LocalDaysOfCrop::holdingIn($zone)->with(['crop', 'user'])->get();
        $results = $this->results($zone, $record, $groups);
        $told = [];
        foreach ($groups as $key => [$crop, $variety, $route, , $rows]) {
            $content = $results[$key];
            if ($content !== null) {
                $own = $held->first(static fn (LocalDaysOfCrop $l): bool => $l->crop_id === $crop->id && $l->variety === $variety);
                $told[] = ['crop' => $crop->slug, 'name' => $crop->cells['name'], 'variety' => $variety, 'route' => $route->value, 'held' => $own === null ? null : $this->held($own),
                    'seen' => array_map(static fn (array $row): array => array_diff_key($row, ['site' => true]), $rows)] + $content;
            }
        }
        usort($told, static fn (array $a, array $b): int => [$a['name'], $a['variety'] ?? '', $a['route']] <=> [$b['name'], $b['variety'] ?? '', $b['route']]);

        return $told;
    }

    /** @return array<string, mixed>|null what the sowings of one of them tell now */
    public function one(Zone $zone, Crop $crop, ?string $variety, Route $route): ?array
    {
        foreach ($this->of($zone) as $told) {
            if ([$told['crop'], $told['variety'], $told['route']] === [$crop->slug, $variety, $route->value]) {
                return $told;
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> what was taken and undone, the latest first */
    public function history(Zone $zone): array
    {
        return array_values(LocalDaysOfCrop::query()->where('zone_id', $zone->id)->with(['crop', 'user'])->orderByDesc('id')->limit(100)->get()
            ->map(fn (LocalDaysOfCrop $l): array => ['crop' => $l->crop->slug, 'name' => $l->crop->cells['name'], 'variety' => $l->variety] + $this->held($l))->all());
    }

    /** @return array<string, mixed> */
    private function held(LocalDaysOfCrop $own): array
    {
        return ['id' => $own->id, 'packet_days' => $own->packet_days, 'days' => $own->days, 'sowings' => $own->sowings, 'error_before' => $own->error_before, 'error_after' => $own->error_after,
            'by' => $own->user?->name, 'on' => $own->created_at->format('Y-m-d'), 'undone_on' => $own->undone_at?->format('Y-m-d')];
    }

    /** @return array<string, array{Crop, string|null, Route, CropParameters, list<Row>}> with the packet's own days */
    private function groups(Zone $zone): array
    {
        $crops = Crop::query()->with('varieties')->get()->keyBy('id');
        // Rows, not models, and the latest of each crop and variety: a log has many years of them.
        $latest = DB::table('sowings')->where('zone_id', $zone->id)->where('taken_back', false)->whereNotNull('first_picked_on')->whereNotNull(DB::raw('IF(under_cover OR sown_on IS NULL, set_out_on, sown_on)'))
            ->selectRaw('id, crop_id, variety, bed_id, up_on, first_picked_on AS picked, (under_cover OR sown_on IS NULL) AS raised, IF(under_cover OR sown_on IS NULL, set_out_on, sown_on) AS put_in')
            ->selectRaw('ROW_NUMBER() OVER (PARTITION BY crop_id, variety, under_cover OR sown_on IS NULL ORDER BY first_picked_on DESC, id DESC) AS place');
        $rows = DB::query()->fromSub($latest, 'latest')->leftJoin('beds', 'beds.id', '=', 'latest.bed_id')->where('place', '<=', self::MOST)->orderByDesc('picked')->orderByDesc('latest.id')
            ->get(['crop_id', 'variety', 'up_on', 'picked', 'raised', 'put_in', 'beds.name AS bed', 'beds.site_id AS site']);
        $groups = [];
        foreach ($rows as $row) {
            $crop = $crops[$row->crop_id];
            $known = $row->variety === null ? null : $crop->varieties->firstWhere('name', $row->variety);
            $key = "{$row->crop_id}\n{$known?->name}\n{$row->raised}";
            $groups[$key] ??= [$crop, $known?->name, $row->raised ? Route::Transplant : Route::Direct, $known?->toCore($crop) ?? $crop->toCore(), []];
            if (count($groups[$key][4]) < self::MOST) {
                $groups[$key][4][] = ['on' => $row->put_in, 'up' => $row->up_on, 'picked' => $row->picked, 'bed' => $row->bed, 'site' => $row->site];
            }
        }

        return $groups;
    }

    /**
     * @param  array<string, array{Crop, string|null, Route, CropParameters, list<Row>}>  $groups
     * @return array<string, array<string, mixed>|null> null where the record tells nothing of them
     */
    private function results(Zone $zone, ZoneRecord $record, array $groups): array
    {
        $sites = ['' => ZoneSite::forZone($zone)[0]] + ZoneSite::query()->get()->mapWithKeys(static fn (ZoneSite $s): array => [$s->id => $s->toCore()])->all();
        $series = $record->filled->record;
        $light = LightSchool::from($zone->light);
        $weather = $series->checksum();
        $hashes = [];
        foreach ($groups as $key => [, , $route, $crop, $rows]) {
            $at = array_map(static fn (Site $s): string => (string) json_encode($s), array_intersect_key($sites, array_flip(array_map(strval(...), array_column($rows, 'site')))));
            $hashes[$key] = Result::hashOf(Result::LOCAL_DAYS, [$weather, $zone->latitude, $zone->light, $crop->checksum(), $route->value, $rows, $at]);
        }
        $known = Result::query()->whereIn('hash', array_values($hashes))->get()->keyBy('hash');
        $tables = $contents = $new = [];
        foreach ($groups as $key => [, , $route, $crop, $rows]) {
            $result = $known[$hashes[$key]] ?? null;
            if ($result === null) {
                $seen = [];
                foreach ($rows as $row) {
                    $site = $sites[$row['site'] ?? ''] ?? $sites[''];
                    $at = $tables[json_encode($site)] ??= new SeasonTables($series, Latitude::of($zone->latitude), $site);
                    $day = static fn (?string $date): ?Day => $date === null ? null : Day::fromIso($date);
                    $seen[] = [$at, new ObservedSowing(Day::fromIso($row['on']), $route === Route::Direct ? $day($row['up']) : null, Day::fromIso($row['picked']))];
                }
                $new[] = [$hashes[$key], Result::LOCAL_DAYS, ['told' => $told = self::told($crop, LocalDays::of($crop, $route, $light, $seen))]];
            }
            $contents[$key] = $result === null ? $told ?? null : $result->content()['told'];
        }
        Results::keep($new);

        return $contents;
    }

    /** @return array<string, mixed>|null */
    private static function told(CropParameters $crop, ?LocalDays $told): ?array
    {
        return $told === null ? null : ['packet_days' => $crop->growth->maturityDays, 'days' => round($told->days, 1), 'factor' => round($told->factor, 4), 'sowings' => count($told->shares),
            'shares' => array_map(static fn (float $q): float => round($q, 3), $told->shares), 'error_before' => $told->errorBefore === null ? null : round($told->errorBefore, 1),
            'error_after' => $told->errorAfter === null ? null : round($told->errorAfter, 1)];
    }
}
