<?php

declare(strict_types=1);

namespace App\Cues;

use Anthesis\Crop\Crop;
use Anthesis\Indicator\Cue;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site as CoreSite;
use App\Crops\ZoneCrops;
use App\Log\LogEntry;
use App\Log\LoggedAct;
use App\Operations\Today;
use App\Results\Result;
use App\Results\Results;
use App\Season\ZoneToday;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * The county's plants as a zone's log has seen them: what they tell, when they are to be expected this year, and what may be sown on them.
 *
 * @phpstan-type Around array{record: ZoneRecord, weather: array{season: callable(CoreSite): ThisSeason, inputs: list<mixed>}|null, crops: list<Crop>, site: CoreSite, checksum: string}
 */
final readonly class ZoneCues
{
    public function __construct(private ZoneToday $today)
    {
    }

    /** @return list<array<string, mixed>> as the contract's Cue, what comes next first */
    public function of(Zone $zone): array
    {
        $seen = $this->sightings($zone);
        $record = $seen === [] ? null : ZoneRecord::of($zone);
        $around = $record === null ? null : ['record' => $record, 'weather' => $this->today->season($zone, Today::day()), 'crops' => ZoneCrops::of($zone)->book(), 'site' => Site::forZone($zone)[0], 'checksum' => $record->filled->record->checksum()];
        $told = [];
        foreach (CuePlant::query()->orderBy('name')->orderBy('stage')->get() as $plant) {
            $told[] = ['id' => $plant->id, 'plant' => $plant->name, 'stage' => $plant->stage, 'note' => $plant->note] + $this->cue($zone, $around, $seen[$plant->id] ?? []);
        }
        usort($told, static fn (array $a, array $b): int => [$a['this_year'] ?? $a['expected'][1] ?? '9', $a['plant']] <=> [$b['this_year'] ?? $b['expected'][1] ?? '9', $b['plant']]);

        return $told;
    }

    /** @return array<int, list<array{on: string, place: string|null, by: string|null, key: string}>> by plant, in the order of their days */
    private function sightings(Zone $zone): array
    {
        $seen = [];
        foreach (LogEntry::standing($zone)->where('act', LoggedAct::Seen)->with(['bed', 'user'])->get() as $entry) {
            $seen[(int) ($entry->told['cue'] ?? 0)][] = ['on' => $entry->day->format('Y-m-d'), 'place' => $entry->bed === null ? $entry->told['text'] ?? null : "{$entry->bed->garden}, {$entry->bed->name}",
                'by' => $entry->user?->name, 'key' => $entry->sent_as];
        }

        return $seen;
    }

    /**
     * @param  Around|null  $around
     * @param  list<array{on: string, place: string|null, by: string|null, key: string}>  $sightings
     * @return array<string, mixed>
     */
    private function cue(Zone $zone, ?array $around, array $sightings): array
    {
        $start = Latitude::of($zone->latitude)->yearStart();
        $today = Today::day();
        $ofYear = self::firstOfYears(array_map(static fn (array $s): Day => Day::fromIso($s['on']), $sightings), $start);
        $began = $today->plus(-$start->daysUntil($today->yearDay()));
        $thisYear = array_values(array_filter($ofYear, static fn (Day $d): bool => $d->number >= $began->number))[0] ?? null;
        $past = array_values(array_filter($ofYear, static fn (Day $d): bool => $d->number < $began->number));

        return ['sightings' => array_reverse($sightings), 'this_year' => $thisYear?->iso()] + $this->told($zone, $around, $past, $thisYear, $today);
    }

    /**
     * @param  list<Day>  $days  in order
     * @return list<Day> the first of each year that begins at midwinter
     */
    private static function firstOfYears(array $days, YearDay $start): array
    {
        $first = [];
        foreach ($days as $day) {
            $first[$day->plus(-$start->daysUntil($day->yearDay()))->year()] ??= $day;
        }

        return array_values($first);
    }

    /**
     * @param  Around|null  $around
     * @param  list<Day>  $past
     * @return array<string, mixed>
     */
    private function told(Zone $zone, ?array $around, array $past, ?Day $thisYear, Day $today): array
    {
        $none = ['years' => [], 'sum' => null, 'sum_deviation' => null, 'soil' => null, 'soil_deviation' => null, 'strength' => null, 'used' => false, 'expected' => null, 'opens' => []];
        if ($around === null || $past === []) {
            return $none;
        }
        ['record' => $record, 'weather' => $weather, 'crops' => $crops, 'site' => $site] = $around;
        $inputs = [$around['checksum'], $zone->latitude, $site, $weather['inputs'] ?? null, array_map(static fn (Day $d): string => $d->iso(), $past), $thisYear?->iso(), $today->iso(),
            array_map(static fn (Crop $c): array => [$c->slug, $c->name, $c->convention->soilMinSowC], $crops)];
        $hash = Results::remember(Result::CUE, Result::hashOf(Result::CUE, $inputs), static function () use ($zone, $record, $site, $weather, $crops, $past, $thisYear, $today, $none): array {
            $cue = Cue::of($record->filled->record, Latitude::of($zone->latitude), $site, $past);
            if ($cue === null) {
                return $none;
            }
            $expected = $thisYear !== null || $weather === null || ! $cue->isUsed() ? null : $cue->expected(($weather['season'])($site)->members, $today);
            $opens = array_filter($crops, static fn (Crop $c): bool => $c->convention->soilMinSowC !== null && $cue->opens($c->convention->soilMinSowC));

            return ['years' => array_map(static fn (array $s): array => ['on' => $s['day']->iso(), 'sum' => round($s['sum'], 1), 'soil' => round($s['soil'], 1)], $cue->sightings), 'sum' => round($cue->sum, 1),
                'sum_deviation' => round($cue->sumDeviation, 1), 'soil' => round($cue->soil, 1), 'soil_deviation' => round($cue->soilDeviation, 1), 'strength' => $cue->strength === null ? null : round($cue->strength, 2), 'used' => $cue->isUsed(),
                'expected' => $expected === null ? null : array_map(static fn (?Day $d): ?string => $d?->iso(), $expected),
                'opens' => array_values(array_map(static fn (Crop $c): array => ['crop' => $c->slug, 'name' => $c->name, 'soil_min' => (float) $c->convention->soilMinSowC], $opens))];
        });

        return Result::query()->findOrFail($hash)->content();
    }
}
