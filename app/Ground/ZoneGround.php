<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\Route;
use Anthesis\Ground\Bed as CoreBed;
use Anthesis\Ground\Rotation;
use Anthesis\Ground\SeedNeed;
use Anthesis\Ground\Stay;
use Anthesis\Record\Day;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Log\Bed;
use App\Log\Sowing;
use App\Log\ZoneUnderWay;
use App\Results\PlaceOf;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use stdClass;

/**
 * The beds of a zone with all that stood, stands and is planned. What the log knows takes the place of what was planned: a sowing of
 * the crop on the bed, three weeks either side of the day, is the one that was meant.
 *
 * @phpstan-type Told array{key: string, kind: string, planting: int|null, crop: string, name: string, family: string, variety: string|null, route: string, act: string, from: string, first: string|null, to: string, metres: float, pinned: bool, feeder: string, height_cm: float|null, need: array{rows: int, plants: int, seeds: int|null, grams: float|null}|null}
 */
final readonly class ZoneGround
{
    /** m where nobody measured. */
    public const LENGTH = 10.0;

    private const MEANT_DAYS = 21;

    /** What stood so long ago is read for its rest. */
    private const YEARS_BACK = 5;

    public function __construct(private PlaceOf $places, private ZoneUnderWay $underWay)
    {
    }

    /** @return GrowingHere|null null without a record */
    public function growing(Zone $zone): ?GrowingHere
    {
        $place = $this->places->zone($zone);

        return $place === null ? null : GrowingHere::at($place, ProofStandard::from($zone->standard));
    }

    /**
     * @param  list<int>|null  $only  of these beds alone; null: of all
     * @return array<string, mixed> as the contract's Ground
     */
    public function of(Zone $zone, Day $today, Day $from, Day $to, ?array $only = null): array
    {
        $here = $this->growing($zone);
        $beds = [];
        foreach ($this->beds($zone, $here, $today, $from, $to, $only) as ['bed' => $bed, 'core' => $core, 'told' => $told]) {
            $beds[] = ['id' => $bed->id, ...$bed->told(), 'length_m' => $bed->length_m, 'width_m' => $bed->width_m, 'stays' => $told, 'gaps' => array_map(self::span(...), $core->gaps($from, $to)),
                'conflicts' => $this->conflicts($core, $told, $here)];
        }

        return ['today' => $today->iso(), 'from' => $from->iso(), 'to' => $to->iso(), 'beds' => $beds];
    }

    /**
     * @param  list<int>|null  $only  of these beds alone; null: of all
     * @return list<array{bed: Bed, core: CoreBed, told: list<Told>}> in the order of gardens and names
     */
    public function beds(Zone $zone, ?GrowingHere $here, Day $today, Day $from, Day $to, ?array $only = null): array
    {
        $beds = Bed::query()->where('zone_id', $zone->id)->when($only !== null, static fn (Builder $q) => $q->whereIn('id', $only))->with('site')->orderBy('garden')->orderByRaw('LENGTH(name), name')->get();
        $since = $from->plus(-365 * self::YEARS_BACK)->iso();
        $sowings = Sowing::query()->whereIn('bed_id', $beds->modelKeys())->where('taken_back', false)->where('begun_on', '>=', $since)->where('begun_on', '<=', $to->iso())->with(['crop', 'bed.site'])->orderBy('begun_on')->get()->groupBy('bed_id');
        // Hundreds, of which a few columns are read: as plain rows.
        $plantings = Planting::query()->join('crops', 'crops.id', '=', 'plantings.crop_id')->whereIn('bed_id', $beds->modelKeys())->whereNull('removed_at')->where('day', '>=', $since)->where('day', '<=', $to->iso())->orderBy('day')
            ->toBase()->get(['plantings.id', 'bed_id', 'crop_id', 'variety', 'route', 'day', 'metres', 'pinned', 'slug'])->groupBy('bed_id');
        $isOpen = static fn (Sowing $s): bool => $s->ended_on === null;
        $goesOn = $sowings->flatten()->contains($isOpen) ? array_column($this->underWay->of($zone, $today), 'goes_on', 'key') : [];
        $out = [];
        foreach ($beds as $bed) {
            $sown = $sowings->get($bed->id) ?? new Collection;
            $told = [...$this->sown($bed, $sown, $here, $goesOn), ...$this->planned($bed, $plantings->get($bed->id) ?? new Collection, $sown, $here)];
            $out[] = ['bed' => $bed, 'core' => self::core($bed, $told, $here), 'told' => $told];
        }

        return $out;
    }

    /**
     * @param  list<Told>  $told
     */
    private static function core(Bed $bed, array $told, ?GrowingHere $here): CoreBed
    {
        $stays = [];
        foreach ($told as $stay) {
            $crop = $here?->candidate($stay['crop'], $stay['variety'], Route::from($stay['route']))?->crop;
            if ($crop !== null) {
                $stays[] = new Stay($stay['key'], $crop, Day::fromIso($stay['from']), Day::fromIso($stay['to']), $stay['metres']);
            }
        }

        return new CoreBed((string) $bed->id, $bed->length_m ?? self::LENGTH, $stays);
    }

    /**
     * @param  Collection<int, Sowing>  $sowings
     * @param  array<string, array<string, mixed>|null>  $goesOn  by key
     * @return list<Told>
     */
    private function sown(Bed $bed, Collection $sowings, ?GrowingHere $here, array $goesOn): array
    {
        $told = [];
        foreach ($sowings as $sowing) {
            $in = $sowing->inGroundOn();
            if ($in === null) {
                continue;
            }
            $candidate = $here?->candidate($sowing->crop->slug, $sowing->variety, $sowing->route());
            $own = $goesOn[$sowing->sent_as] ?? null;
            $first = Sowing::dayOf($sowing->first_picked_on)?->iso() ?? $own['first_pick'][1] ?? $candidate?->days->firstHarvest($in)?->iso();
            $late = $own['first_pick'][2] ?? null;
            $harvest = (int) ($candidate->crop->harvest->days ?? 0);
            $ended = Sowing::dayOf($sowing->ended_on);
            $to = $ended ?? ($late !== null ? Day::fromIso($late)->plus($harvest) : $candidate?->days->until($in) ?? $in->plus($harvest));
            $kind = $ended === null ? 'under-way' : ($sowing->lost_on !== null ? 'lost' : 'done');
            $told[] = $this->told("sowing {$sowing->sent_as}", $kind, null, $candidate->crop ?? $sowing->crop->toCore(), $sowing->variety, $sowing->route(), $in, $kind === 'lost' ? null : $first, $to, min($sowing->metres ?? INF, $bed->length_m ?? self::LENGTH), false);
        }

        return $told;
    }

    /**
     * @param  Collection<int, stdClass>  $plantings  rows, with the slug of their crop
     * @param  Collection<int, Sowing>  $sowings
     * @return list<Told>
     */
    private function planned(Bed $bed, Collection $plantings, Collection $sowings, ?GrowingHere $here): array
    {
        $told = $meant = [];
        foreach ($plantings as $planting) {
            $on = Day::fromIso(substr((string) $planting->day, 0, 10));
            foreach ($sowings as $sowing) {
                $in = $sowing->inGroundOn();
                if (! isset($meant[$sowing->id]) && $in !== null && $sowing->crop_id === $planting->crop_id && abs($in->number - $on->number) <= self::MEANT_DAYS) {
                    $meant[$sowing->id] = true;

                    continue 2;
                }
            }
            $candidate = $here?->candidate($planting->slug, $planting->variety, Route::from($planting->route));
            $grown = $candidate->crop ?? Crop::query()->findOrFail($planting->crop_id)->toCore();
            $to = $candidate?->days->until($on) ?? $on->plus((int) ceil($grown->growth->maturityDays) + $grown->harvest->days);
            $told[] = ['need' => $candidate === null ? null : self::need($grown, $bed, (float) $planting->metres)] + $this->told("planting {$planting->id}", 'planned', (int) $planting->id, $grown, $planting->variety, Route::from($planting->route), $on, $candidate?->days->firstHarvest($on)?->iso(), $to, (float) $planting->metres, (bool) $planting->pinned);
        }

        return $told;
    }

    /**
     * @param  CropParameters  $grown  as it grows here; where that is not known, as the book has it
     * @return Told
     */
    private function told(string $key, string $kind, ?int $planting, CropParameters $grown, ?string $variety, Route $route, Day $from, ?string $first, Day $to, float $metres, bool $pinned): array
    {
        return ['key' => $key, 'kind' => $kind, 'planting' => $planting, 'crop' => $grown->slug, 'name' => $grown->name, 'family' => $grown->family, 'variety' => $variety, 'route' => $route->value, 'act' => $grown->act($route)->value,
            'from' => $from->iso(), 'first' => $first, 'to' => max($to->iso(), $from->iso()), 'metres' => $metres, 'pinned' => $pinned, 'feeder' => $grown->feeder, 'height_cm' => $grown->heightCm, 'need' => null];
    }

    /** @return array{rows: int, plants: int, seeds: int|null, grams: float|null} of as many rows as the bed is wide for */
    private static function need(CropParameters $crop, Bed $bed, float $metres): array
    {
        $rows = max(1, (int) floor(100 * ($bed->width_m ?? 0.0) / $crop->spacing->rowCm));
        $need = SeedNeed::ofRows($crop, $metres, $rows);

        return ['rows' => $rows, 'plants' => (int) ceil($need->plants), 'seeds' => $need->seeds === null ? null : (int) ceil($need->seeds), 'grams' => $need->grams === null ? null : round($need->grams, 1)];
    }

    /**
     * @param  list<Told>  $told
     * @return list<array{kind: string, from: string, to: string, keys: list<string>}> ground booked twice; a planned crop that breaks the rest of its family, or stands outside every window
     */
    private function conflicts(CoreBed $bed, array $told, ?GrowingHere $here): array
    {
        // What is over cannot be mended.
        $over = array_column(array_filter($told, static fn (array $t): bool => in_array($t['kind'], ['done', 'lost'], true)), 'key');
        $conflicts = array_map(static fn (array $d): array => ['kind' => 'double', 'from' => $d['from']->iso(), 'to' => $d['to']->iso(), 'keys' => $d['keys']],
            array_values(array_filter($bed->doubleBooked(), static fn (array $d): bool => array_diff($d['keys'], $over) !== [])));
        foreach ($told as $stay) {
            $candidate = $stay['kind'] === 'planned' ? $here?->candidate($stay['crop'], $stay['variety'], Route::from($stay['route'])) : null;
            if ($candidate === null) {
                continue;
            }
            [$from, $to] = [Day::fromIso($stay['from']), Day::fromIso($stay['to'])];
            $others = new CoreBed($bed->key, $bed->length, array_values(array_filter($bed->stays, static fn (Stay $s): bool => $s->key !== $stay['key'])));
            $broken = Rotation::broken($others, $candidate->crop, $from, $to);
            if ($broken !== null) {
                $conflicts[] = ['kind' => 'rest', 'from' => $stay['from'], 'to' => $stay['to'], 'keys' => [$stay['key'], $broken->key]];
            }
            if (! $candidate->days->isOpen($from)) {
                $conflicts[] = ['kind' => 'outside', 'from' => $stay['from'], 'to' => $stay['from'], 'keys' => [$stay['key']]];
            }
        }

        return $conflicts;
    }

    /**
     * @param  array{from: Day, to: Day}  $span
     * @return array{from: string, to: string}
     */
    private static function span(array $span): array
    {
        return ['from' => $span['from']->iso(), 'to' => $span['to']->iso()];
    }
}
