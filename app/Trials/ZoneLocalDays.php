<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Record\Latitude;
use Anthesis\Replay\SeasonTables;
use Anthesis\Soil\Site;
use Anthesis\Trial\LocalDays;
use App\Crops\Crop;
use App\Log\Sowing;
use App\Results\Result;
use App\Results\Results;
use App\Sites\Site as ZoneSite;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * Days to maturity as the sowings of a zone's log tell them, by crop, variety and way of growing, with their evidence; and those an
 * educator took.
 */
final class ZoneLocalDays
{
    /** Sowings that are asked of each: the latest; more would hardly move it. */
    public const MOST = 60;

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
        foreach ($groups as $key => [$crop, $variety, $route, , $sowings]) {
            $content = $results[$key];
            if ($content !== null) {
                $own = $held->first(static fn (LocalDaysOfCrop $l): bool => $l->crop_id === $crop->id && $l->variety === $variety);
                $told[] = ['crop' => $crop->slug, 'name' => $crop->cells['name'], 'variety' => $variety, 'route' => $route->value, 'held' => $own === null ? null : $this->held($own),
                    'seen' => array_map(static fn (Sowing $s): array => $s->told(), $sowings)] + $content;
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

    /** @return array<string, array{Crop, string|null, Route, CropParameters, list<Sowing>}> with the packet's own days */
    private function groups(Zone $zone): array
    {
        $groups = [];
        $sowings = Sowing::query()->where('zone_id', $zone->id)->where('taken_back', false)->whereNotNull('first_picked_on')->with(['crop.varieties', 'bed.site'])->orderByDesc('first_picked_on')->orderByDesc('id');
        foreach ($sowings->lazy(500) as $sowing) {
            if ($sowing->observed() === null) {
                continue;
            }
            $known = $sowing->variety === null ? null : $sowing->crop->varieties->firstWhere('name', $sowing->variety);
            $key = "{$sowing->crop_id}\n{$known?->name}\n{$sowing->route()->value}";
            $groups[$key] ??= [$sowing->crop, $known?->name, $sowing->route(), $known?->toCore($sowing->crop) ?? $sowing->crop->toCore(), []];
            if (count($groups[$key][4]) < self::MOST) {
                $groups[$key][4][] = $sowing;
            }
        }

        return $groups;
    }

    /**
     * @param  array<string, array{Crop, string|null, Route, CropParameters, list<Sowing>}>  $groups
     * @return array<string, array<string, mixed>|null> null where the record tells nothing of them
     */
    private function results(Zone $zone, ZoneRecord $record, array $groups): array
    {
        $ground = ZoneSite::forZone($zone)[0];
        $series = $record->filled->record;
        $light = LightSchool::from($zone->light);
        $site = static fn (Sowing $s): Site => $s->bed?->site?->toCore() ?? $ground;
        $hashes = [];
        foreach ($groups as $key => [, , $route, $crop, $sowings]) {
            $hashes[$key] = Result::hashOf(Result::LOCAL_DAYS, [$series->checksum(), $zone->latitude, $zone->light, $crop->checksum(), $route->value, array_map(static fn (Sowing $s): array => [$s->days(), $site($s)], $sowings)]);
        }
        $known = Result::query()->whereIn('hash', array_values($hashes))->get()->keyBy('hash');
        $tables = $contents = [];
        foreach ($groups as $key => [, , $route, $crop, $sowings]) {
            if (! isset($known[$hashes[$key]])) {
                $seen = [];
                foreach ($sowings as $sowing) {
                    $at = $tables[json_encode($site($sowing))] ??= new SeasonTables($series, Latitude::of($zone->latitude), $site($sowing));
                    $observed = $sowing->observed();
                    array_push($seen, ...($observed === null ? [] : [[$at, $observed]]));
                }
                Results::keep([[$hashes[$key], Result::LOCAL_DAYS, ['told' => self::told($crop, LocalDays::of($crop, $route, $light, $seen))]]]);
            }
            $contents[$key] = ($known[$hashes[$key]] ?? Result::query()->findOrFail($hashes[$key]))->content()['told'];
        }

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
