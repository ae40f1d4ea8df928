<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use Anthesis\Log\StandingEntry;
use App\Crops\Crop;
use App\Zones\Zone;
use Closure;

/**
 * A table of entries checked against a zone's log as it is, with nothing saved and nothing locked: the new entries, and what each planting
 * they touch adds up to with them. ImportLogFile saves it if the log has not changed in the meantime.
 *
 * A row about a planting belongs to the latest one of its crop, variety, and bed that was started by its day. A row that the zone already
 * has from a table is skipped, however often the table is uploaded.
 *
 * New beds and plantings have negative numbers here until they are saved.
 *
 * @phpstan-type State array{key: string, crop: int, variety: string|null, bed: int|null, under_cover: bool, set_out: string|null, begun: string, taken_back: bool, entries: list<StandingEntry>|null, columns: array<string, mixed>|null}
 * @phpstan-type Staged array{entry: LoggedEntry, crop: int|null, bed: int|null, sowing: int|null}
 */
final class StagedLog
{
    /** Rows whose faults are listed; the rest are counted. */
    private const LISTED = 50;

    /** Rows after which progress is reported. */
    private const STEP = 250;

    /** @var list<string> */
    public array $faults = [];

    /** @var list<Staged> */
    public array $entries = [];

    /** @var array<int, State> by number */
    public array $sowings = [];

    /** @var array<int, array{garden: string, name: string}> new ones, by number */
    public array $newBeds = [];

    /** @var array<string, int> by garden and name */
    private array $beds = [];

    /** @var array<int, list<int>> numbers of sowings, by crop */
    private array $ofCrop = [];

    /** @var array<string, array{string, int}> slug and number of each crop, by slug and by name */
    private array $crops = [];

    /** @var array<string, int> by name and stage */
    private array $cues = [];

    private int $number = 0;

    private readonly EntryChecks $checks;

    private function __construct(private readonly Zone $zone)
    {
        $this->checks = new EntryChecks($zone);
        foreach (Crop::query()->get() as $crop) {
            $this->crops[mb_strtolower($crop->cells['name'])] = $this->crops[$crop->slug] = [$crop->slug, $crop->id];
        }
        foreach (CuePlant::query()->get() as $cue) {
            $this->cues[mb_strtolower("{$cue->name}\n{$cue->stage}")] = $cue->id;
        }
        foreach (Bed::query()->where('zone_id', $zone->id)->get() as $bed) {
            $this->beds[mb_strtolower("{$bed->garden}\n{$bed->name}")] = $bed->id;
        }
        foreach (Sowing::query()->where('zone_id', $zone->id)->where('taken_back', false)->orderBy('id')->toBase()->get() as $row) {
            $this->sowings[(int) $row->id] = [
                'key' => (string) $row->idempotency_key,
                'crop' => (int) $row->crop_id,
                'variety' => $row->variety,
                'bed' => $row->bed_id === null ? null : (int) $row->bed_id,
                'under_cover' => (bool) $row->under_cover,
                'set_out' => $row->set_out_on,
                'begun' => (string) $row->begun_on,
                'taken_back' => false,
                'entries' => null,
                'columns' => null,
            ];
            $this->ofCrop[(int) $row->crop_id][] = (int) $row->id;
        }
    }

    /**
     * @param  list<array{int, array<string, string>}>  $rows  as LogTable reads them
     * @param  Closure(int): void  $progress  receives how many rows were checked
     */
    public static function of(Zone $zone, array $rows, Closure $progress): self
    {
        $staged = new self($zone);
        $keyed = self::keyed($zone, $rows);
        $known = self::known($zone, $keyed);
        foreach ($rows as $i => [$line, $said]) {
            if (! isset($known[$keyed[$i][0]]) && ! isset($known[$keyed[$i][1]])) {
                try {
                    $staged->add($keyed[$i][0], $said);
                } catch (EntryRefused $why) {
                    $staged->faults[] = "Row {$line}, {$why->field}: {$why->getMessage()}";
                }
            }
            if (($i + 1) % self::STEP === 0) {
                $progress($i + 1);
            }
        }

        return $staged;
    }

    /** @return list<string> what is wrong, as far as it is listed */
    public function listedFaults(): array
    {
        $more = count($this->faults) - self::LISTED;

        return [
            ...array_slice($this->faults, 0, self::LISTED),
            ...$more > 0 ? ["And {$more} more rows. Nothing was saved: correct them and upload the table again."] : [],
        ];
    }

    /**
     * The keys of rows: the same row has the same key each time. The second is the one that rows were saved under before a key included its
     * zone.
     *
     * @param  list<array{int, array<string, string>}>  $rows
     * @return list<array{string, string}>
     */
    private static function keyed(Zone $zone, array $rows): array
    {
        $seen = [];
        $keys = [];
        foreach ($rows as [, $said]) {
            $same = implode("\0", $said);
            $n = $seen[$same] = ($seen[$same] ?? 0) + 1;
            $keys[] = [
                'file-'.substr(hash('sha256', "{$zone->id}\0{$same}\0{$n}"), 0, 48),
                'file-'.substr(hash('sha256', "{$same}\0{$n}"), 0, 48),
            ];
        }

        return $keys;
    }

    /**
     * @param  list<array{string, string}>  $keyed
     * @return array<string, int> keys that this zone's log has, as keys
     */
    private static function known(Zone $zone, array $keyed): array
    {
        $known = [];
        foreach (array_chunk(array_merge(...$keyed), 1000) as $keys) {
            $known += array_flip(
                LogEntry::query()->where('zone_id', $zone->id)->whereIn('idempotency_key', $keys)->pluck('idempotency_key')->all(),
            );
        }

        return $known;
    }

    /** @param  array<string, string>  $said */
    private function add(string $key, array $said): void
    {
        $crop = isset($said['crop']) ? $this->crops[mb_strtolower($said['crop'])] ?? null : null;
        if ($crop !== null) {
            $said['crop'] = $crop[0];
        }
        $entry = LoggedEntry::of(['key' => $key] + $said + ['cue' => $this->cue($said)]);
        $this->checks->assert($entry);
        $this->checks->crop($entry);
        $number = $this->sowingOf($entry, $crop[1] ?? null);
        if ($number === null && $entry->act->follows()) {
            throw new EntryRefused(
                'sowing',
                'No planting of this crop and variety in this bed was started by that day. Add the planting to the table, or log it first.',
            );
        }
        $before = $number === null ? null : $this->sowings[$number];
        if ($number === null && $entry->act->begins()) {
            $number = $this->begin($entry, $crop[1] ?? throw new EntryRefused('crop', 'Choose which crop it was.'));
        }
        $bed = $entry->bed === null ? $before['bed'] ?? null : $this->bed((string) $entry->garden, $entry->bed);
        if ($number !== null) {
            $this->fold(
                $number,
                new StandingEntry($entry->act, $entry->on->iso(), $entry->told, $crop[1] ?? $this->sowings[$number]['crop'], $bed),
                $before === null,
            );
        }
        $this->entries[] = [
            'entry' => $entry,
            'crop' => $crop[1] ?? ($number === null ? null : $this->sowings[$number]['crop']),
            'bed' => $bed,
            'sowing' => $number,
        ];
    }

    /** @param  array<string, string>  $said */
    private function cue(array $said): ?int
    {
        return isset($said['plant'])
            ? $this->cues[mb_strtolower("{$said['plant']}\n".($said['stage'] ?? ''))] ??
                    throw new EntryRefused('plant', 'The county’s list has no such plant in that stage. Add it first.')
            : null;
    }

    /** @return int|null the planting an entry is about; null: none in the log */
    private function sowingOf(LoggedEntry $entry, ?int $crop): ?int
    {
        $sets = $entry->act === LoggedAct::SetOut;
        if ($crop === null || ! ($entry->act->follows() || $sets)) {
            return null;
        }
        $variety = mb_strtolower((string) ($entry->told['variety'] ?? ''));
        $bed = $entry->bed === null || $sets ? null : $this->beds[mb_strtolower("{$entry->garden}\n{$entry->bed}")] ?? 0;
        $on = $entry->on->iso();
        $found = null;
        foreach ($this->ofCrop[$crop] ?? [] as $number) {
            $sowing = $this->sowings[$number];
            if (
                $sowing['begun'] <= $on &&
                mb_strtolower((string) $sowing['variety']) === $variety &&
                ($bed === null || $sowing['bed'] === $bed) &&
                (! $sets || ($sowing['under_cover'] && $sowing['set_out'] === null)) &&
                ($found === null || $sowing['begun'] >= $this->sowings[$found]['begun'])
            ) {
                $found = $number;
            }
        }

        return $found;
    }

    private function begin(LoggedEntry $entry, int $crop): int
    {
        $number = --$this->number;
        $this->sowings[$number] = [
            'key' => $entry->key,
            'crop' => $crop,
            'variety' => null,
            'bed' => null,
            'under_cover' => false,
            'set_out' => null,
            'begun' => $entry->on->iso(),
            'taken_back' => false,
            'entries' => [],
            'columns' => null,
        ];
        $this->ofCrop[$crop][] = $number;

        return $number;
    }

    private function bed(string $garden, string $name): int
    {
        $key = mb_strtolower("{$garden}\n{$name}");
        if (! isset($this->beds[$key])) {
            $this->beds[$key] = --$this->number;
            $this->newBeds[$this->number] = ['garden' => $garden, 'name' => $name];
        }

        return $this->beds[$key];
    }

    /** Adds an entry to a planting and figures out what it adds up to; if the entry is not possible, the planting stays as it was. */
    private function fold(int $number, StandingEntry $entry, bool $isNew): void
    {
        if ($this->sowings[$number]['entries'] === null) {
            $this->loadEntries($this->sowings[$number]['crop']);
        }
        $entries = [...$this->sowings[$number]['entries'] ?? [], $entry];
        // Those on the same day stay in the order in which they were written.
        usort($entries, static fn (StandingEntry $a, StandingEntry $b): int => $a->day <=> $b->day);
        try {
            $columns = RebuildSowing::columns($entries);
        } catch (EntryRefused $why) {
            if ($isNew) {
                unset($this->sowings[$number]);
                array_pop($this->ofCrop[$entry->cropId ?? 0]);
            }
            throw $why;
        }
        $this->sowings[$number] =
            [
                'entries' => $entries,
                'columns' => $columns,
                'variety' => $columns['variety'] ?? null,
                'bed' => $columns['bed_id'] ?? null,
                'under_cover' => $columns['under_cover'] ?? false,
                'set_out' => $columns['set_out_on'] ?? null,
                'begun' => $columns['begun_on'] ?? $entry->day,
            ] + $this->sowings[$number];
    }

    /** Entries of all plantings of a crop at once, because a table that touches one usually touches more. */
    private function loadEntries(int $crop): void
    {
        $of = array_filter($this->ofCrop[$crop], fn (int $number): bool => $number > 0 && $this->sowings[$number]['entries'] === null);
        foreach ($of as $number) {
            $this->sowings[$number]['entries'] = [];
        }
        foreach (array_chunk($of, 1000) as $numbers) {
            foreach (LogEntry::standing($this->zone)->whereIn('sowing_id', $numbers)->get() as $entry) {
                $this->sowings[(int) $entry->sowing_id]['entries'][] = $entry->toStanding();
            }
        }
    }
}
