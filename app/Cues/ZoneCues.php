<?php

declare(strict_types=1);

namespace App\Cues;

use Anthesis\Log\LoggedAct;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use App\Log\CuePlant;
use App\Log\LogEntry;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Zones\Zone;

/** The county's plants as a zone's log has seen them: what they tell, when to expect them this year, and what can be sown then. */
final readonly class ZoneCues
{
    public function __construct(private PlaceOf $places)
    {
    }

    /** @return list<array<string, mixed>> as the contract's Cue, what comes next first */
    public function of(Zone $zone, Day $today): array
    {
        $seen = $this->sightings($zone);
        $place = $seen === [] ? null : $this->places->today($zone, $today);
        $told = [];
        foreach (CuePlant::query()->orderBy('name')->orderBy('stage')->get() as $plant) {
            $told[] =
                ['id' => $plant->id, 'plant' => $plant->name, 'stage' => $plant->stage, 'note' => $plant->note] +
                self::cue($place, Latitude::of($zone->latitude)->yearStart(), $today, $seen[$plant->id] ?? []);
        }
        usort(
            $told,
            static fn (array $a, array $b): int => [$a['this_year'] ?? ($a['expected'][1] ?? '9'), $a['plant']] <=> [
                $b['this_year'] ?? ($b['expected'][1] ?? '9'),
                $b['plant'],
            ],
        );

        return $told;
    }

    /** @return array<int, list<array{on: string, place: string|null, by: string|null, key: string}>> by plant, in order of their days */
    private function sightings(Zone $zone): array
    {
        $seen = [];
        foreach (
            LogEntry::standing($zone)
                ->where('act', LoggedAct::Seen)
                ->with(['bed', 'user'])
                ->get() as $entry
        ) {
            $seen[(int) ($entry->told['cue'] ?? 0)][] = [
                'on' => $entry->day->format('Y-m-d'),
                'place' => $entry->bed === null ? $entry->told['text'] ?? null : "{$entry->bed->garden}, {$entry->bed->name}",
                'by' => $entry->user?->name,
                'key' => $entry->idempotency_key,
            ];
        }

        return $seen;
    }

    /**
     * @param  Place|null  $place  in its season; null: the zone has no record
     * @param  list<array{on: string, place: string|null, by: string|null, key: string}>  $sightings
     * @return array<string, mixed>
     */
    private static function cue(?Place $place, YearDay $start, Day $today, array $sightings): array
    {
        $ofYear = self::firstOfYears(array_map(static fn (array $s): Day => Day::fromIso($s['on']), $sightings), $start);
        $began = $today->plus(-$start->daysUntil($today->yearDay()));
        $thisYear = array_values(array_filter($ofYear, static fn (Day $d): bool => ! $d->isBefore($began)))[0] ?? null;
        $past = array_values(array_filter($ofYear, static fn (Day $d): bool => $d->isBefore($began)));

        return ['sightings' => array_reverse($sightings), 'this_year' => $thisYear?->iso()] +
            ($place === null || $past === [] ? CueQuestion::NOTHING : Results::of($place, new CueQuestion($past, $thisYear !== null)));
    }

    /**
     * @param  list<Day>  $days  in order
     * @return list<Day> the first in each year that starts at midwinter
     */
    private static function firstOfYears(array $days, YearDay $start): array
    {
        $first = [];
        foreach ($days as $day) {
            $first[$day->plus(-$start->daysUntil($day->yearDay()))->year()] ??= $day;
        }

        return array_values($first);
    }
}
