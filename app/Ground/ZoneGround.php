<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\Route;
use Anthesis\Ground\Bed as CoreBed;
use Anthesis\Ground\Between;
use Anthesis\Ground\Conflict;
use Anthesis\Ground\Occupancy;
use Anthesis\Ground\SeedNeed;
use Anthesis\Ground\Standing;
use Anthesis\Ground\StandingKind;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Log\Bed;
use App\Log\Sowing;
use App\Log\ZoneUnderWay;
use App\Results\PlaceOf;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use stdClass;

/**
 * The beds of a zone with everything that was, is, and will be in them. The log replaces what was planned: a sowing of the crop in the bed,
 * within three weeks of the day, is the planned one.
 *
 * @phpstan-type Told array{key: string, kind: string, planting: int|null, version: int|null, crop: string, name: string, family: string, variety: string|null, route: string, act: string, from: string, first: string|null, to: string, metres: float, between: string|null, pinned: bool, spares: bool, feeder: string, height_cm: float|null, cautions: list<string>, need: array{rows: int, plants: int, spares: int|null, seeds: int|null, grams: float|null}|null}
 */
final readonly class ZoneGround
{
    /** Used if nobody measured, m. */
    public const LENGTH = 10.0;

    /** Years back to read for rotation. */
    private const YEARS_BACK = 5;

    public function __construct(private PlaceOf $places, private ZoneUnderWay $underWay)
    {
    }

    /**
     * @param  Place|null  $place  the zone's, if it was read already
     * @return GrowingHere|null null without a record
     */
    public function growing(Zone $zone, ?Place $place = null): ?GrowingHere
    {
        $place ??= $this->places->zone($zone);

        return $place === null ? null : GrowingHere::at($place, ProofStandard::from($zone->standard));
    }

    /**
     * @param  list<int>|null  $only  only these beds; null: all
     * @param  Place|null  $place  the zone's, if it was read already
     * @return array<string, mixed> as the contract's Ground
     */
    public function of(Zone $zone, Day $today, Day $from, Day $to, ?array $only = null, ?Place $place = null): array
    {
        $beds = [];
        if ($only === null && ! Bed::query()->where('zone_id', $zone->id)->exists()) {
            return ['today' => $today->iso(), 'from' => $from->iso(), 'to' => $to->iso(), 'beds' => $beds];
        }
        $here = $this->growing($zone, $place);
        foreach ($this->beds($zone, $here, $today, $from, $to, $only) as ['bed' => $bed, 'core' => $core, 'told' => $told]) {
            $beds[] = [
                'id' => $bed->id,
                'version' => $bed->version,
                ...$bed->told(),
                'length_m' => $bed->length_m,
                'width_m' => $bed->width_m,
                'stays' => $told,
                'gaps' => array_map(self::span(...), $core->gaps($from, $to)),
                'conflicts' => $this->conflicts($core, $told, $here),
            ];
        }

        return ['today' => $today->iso(), 'from' => $from->iso(), 'to' => $to->iso(), 'beds' => $beds];
    }

    /**
     * @param  list<int>|null  $only  only these beds; null: all
     * @return list<array{bed: Bed, core: CoreBed, told: list<Told>}> in order of gardens and names
     */
    public function beds(Zone $zone, ?GrowingHere $here, Day $today, Day $from, Day $to, ?array $only = null): array
    {
        $beds = Bed::query()
            ->where('zone_id', $zone->id)
            ->when($only !== null, static fn (Builder $q) => $q->whereIn('id', $only))
            ->with('site')
            ->orderBy('garden')
            ->orderByRaw('LENGTH(name), name')
            ->get();
        $since = $from->plus(-365 * self::YEARS_BACK)->iso();
        $sowings = self::sowings($beds, $since, $to);
        $plantings = self::plantings($beds, $since, $to);
        $isOpen = static fn (Sowing $s): bool => $s->ended_on === null;
        $goesOn = $sowings->flatten()->contains($isOpen) ? array_column($this->underWay->of($zone, $today), 'goes_on', 'key') : [];
        $out = [];
        foreach ($beds as $bed) {
            $sown = $sowings->get($bed->id) ?? new Collection();
            $plans = $plantings->get($bed->id) ?? new Collection();
            $meant = self::meant($plans, $sown);
            $told = self::paired(
                $bed,
                $plans,
                $sown,
                $meant,
                self::spared($plans, $sown, $meant, [
                    ...$this->sown($bed, $sown, $here, $goesOn),
                    ...$this->planned($bed, $plans, $meant, $here),
                ]),
            );
            $core = self::core($bed, $told, $here);
            $out[] = ['bed' => $bed, 'core' => $core, 'told' => self::neededBetween($bed, $core, $told)];
        }

        return $out;
    }

    /**
     * @param  EloquentCollection<int, Bed>  $beds
     * @return Collection<int, EloquentCollection<int, Sowing>> begun in these days, by bed
     */
    private static function sowings(EloquentCollection $beds, string $since, Day $to): Collection
    {
        return Sowing::query()
            ->whereIn('bed_id', $beds->modelKeys())
            ->where('taken_back', false)
            ->where('begun_on', '>=', $since)
            ->where('begun_on', '<=', $to->iso())
            ->with(['crop', 'bed.site'])
            ->orderBy('begun_on')
            ->orderBy('id')
            ->get()
            ->groupBy('bed_id');
    }

    /**
     * @param  EloquentCollection<int, Bed>  $beds
     * @return Collection<int, Collection<int, stdClass>> rows planned for these days, by bed
     */
    private static function plantings(EloquentCollection $beds, string $since, Day $to): Collection
    {
        // There are hundreds, of which a few columns are read, so plain rows are used.
        return Planting::query()
            ->join('crops', 'crops.id', '=', 'plantings.crop_id')
            ->whereIn('bed_id', $beds->modelKeys())
            ->whereNull('removed_at')
            ->where('day', '>=', $since)
            ->where('day', '<=', $to->iso())
            ->orderBy('day')
            ->orderBy('plantings.id')
            ->toBase()
            ->get([
                'plantings.id',
                'bed_id',
                'crop_id',
                'variety',
                'route',
                'day',
                'metres',
                'between',
                'pinned',
                'spares',
                'plantings.version',
                'slug',
            ])
            ->groupBy('bed_id');
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
                $stays[] = new Occupancy(
                    $stay['key'],
                    $crop,
                    Day::fromIso($stay['from']),
                    Day::fromIso($stay['to']),
                    $stay['metres'],
                    $stay['between'],
                );
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
            $grown = $candidate->crop ?? $sowing->crop->toCore();
            $likely = $goesOn[$sowing->idempotency_key]['first_pick'] ?? null;
            $standing = Standing::ofSowing(
                $grown,
                $candidate?->days,
                $in,
                Sowing::dayOf($sowing->first_picked_on),
                $likely === null ? null : [Day::fromIso($likely[1]), Day::fromIso($likely[2])],
                Sowing::dayOf($sowing->ended_on),
                $sowing->lost_on !== null,
            );
            $told[] = $this->told(
                "sowing {$sowing->idempotency_key}",
                $standing,
                null,
                $grown,
                $sowing->variety,
                $sowing->route(),
                $in,
                min($sowing->metres ?? INF, $bed->length_m ?? self::LENGTH),
                false,
            );
        }

        return $told;
    }

    /**
     * @param  Collection<int, stdClass>  $plantings  rows
     * @param  Collection<int, Sowing>  $sowings
     * @return array<int, int> by planting, the sowing that carried it out
     */
    private static function meant(Collection $plantings, Collection $sowings): array
    {
        $in = [];
        foreach ($sowings as $sowing) {
            if ($sowing->inGroundOn() !== null) {
                $in[$sowing->id] = [$sowing->crop_id, $sowing->inGroundOn()];
            }
        }

        return Standing::meant(
            $plantings->mapWithKeys(static fn (stdClass $p): array => [(int) $p->id => [(int) $p->crop_id, self::dayOf($p)]])->all(),
            $in,
        );
    }

    private static function dayOf(stdClass $planting): Day
    {
        return Day::fromIso(substr((string) $planting->day, 0, 10));
    }

    /**
     * Seedlings are raised beside what was planned with them and, once that is sown, until it is up.
     *
     * @param  Collection<int, stdClass>  $plantings  rows
     * @param  Collection<int, Sowing>  $sowings
     * @param  array<int, int>  $meant  by planting, the sowing that carried it out
     * @param  list<Told>  $told
     * @return list<Told>
     */
    private static function spared(Collection $plantings, Collection $sowings, array $meant, array $told): array
    {
        $sown = $sowings->keyBy('id');
        $places = array_flip(array_column($told, 'key'));
        foreach ($plantings as $planting) {
            $sowing = $sown[$meant[(int) $planting->id] ?? 0] ?? null;
            $own = $places[$sowing === null ? "planting {$planting->id}" : "sowing {$sowing->idempotency_key}"] ?? null;
            if ($own !== null && $planting->spares && $sowing?->up_on === null) {
                $told[$own]['spares'] = true;
            }
        }

        return $told;
    }

    /**
     * Works out what grows between the rows of what: as it was planned, even if one of the two, or both, were sown in the meantime; and
     * counts what is sown between for as many rows as there are.
     *
     * @param  Collection<int, stdClass>  $plantings  rows
     * @param  Collection<int, Sowing>  $sowings
     * @param  array<int, int>  $meant  by planting, the sowing that carried it out
     * @param  list<Told>  $told
     * @return list<Told>
     */
    private static function paired(Bed $bed, Collection $plantings, Collection $sowings, array $meant, array $told): array
    {
        $keys = $sowings->mapWithKeys(static fn (Sowing $s): array => [$s->id => "sowing {$s->idempotency_key}"])->all();
        $now = static fn (int $planting): string => isset($meant[$planting]) ? $keys[$meant[$planting]] : "planting {$planting}";
        $places = array_flip(array_column($told, 'key'));
        foreach ($plantings as $planting) {
            $first = (string) $planting->between;
            $first = str_starts_with($first, 'planting ') ? $now((int) substr($first, 9)) : $first;
            [$own, $at] = [$places[$now((int) $planting->id)] ?? null, $places[$first] ?? null];
            // What was planned between something that is gone has its own space now.
            if ($own !== null && $at !== null && $told[$at]['between'] === null) {
                $told[$own]['between'] = $told[$at]['key'];
            }
        }

        return $told;
    }

    /**
     * @param  Collection<int, stdClass>  $plantings  rows, with the slug of their crop
     * @param  array<int, int>  $meant  by planting, the sowing that carried it out
     * @return list<Told>
     */
    private function planned(Bed $bed, Collection $plantings, array $meant, ?GrowingHere $here): array
    {
        $told = [];
        foreach ($plantings as $planting) {
            if (isset($meant[(int) $planting->id])) {
                continue;
            }
            $on = self::dayOf($planting);
            $route = Route::from($planting->route);
            $candidate = $here?->candidate($planting->slug, $planting->variety, $route);
            $grown = $candidate->crop ?? Crop::query()->findOrFail($planting->crop_id)->toCore();
            $told[] =
                [
                    'version' => (int) $planting->version,
                    'need' => $candidate === null
                            ? null
                            : self::need($grown, self::rows($grown, $bed), (float) $planting->metres, (bool) $planting->spares),
                ] +
                $this->told(
                    "planting {$planting->id}",
                    Standing::ofPlan($grown, $candidate?->days, $on),
                    (int) $planting->id,
                    $grown,
                    $planting->variety,
                    $route,
                    $on,
                    (float) $planting->metres,
                    (bool) $planting->pinned,
                );
        }

        return $told;
    }

    /**
     * @param  CropParameters  $grown  as it grows here; if that is not known, as in the book
     * @return Told
     */
    private function told(
        string $key,
        Standing $standing,
        ?int $planting,
        CropParameters $grown,
        ?string $variety,
        Route $route,
        Day $from,
        float $metres,
        bool $pinned,
    ): array {
        return [
            'key' => $key,
            'kind' => $standing->kind->value,
            'planting' => $planting,
            'version' => null,
            'crop' => $grown->slug,
            'name' => $grown->name,
            'family' => $grown->family,
            'variety' => $variety,
            'route' => $route->value,
            'act' => $grown->act($route)->value,
            'from' => $from->iso(),
            'first' => $standing->first?->iso(),
            'to' => $standing->to->iso(),
            'metres' => $metres,
            'between' => null,
            'pinned' => $pinned,
            'spares' => false,
            'feeder' => $grown->feeder,
            'height_cm' => $grown->heightCm,
            'cautions' => array_column($grown->cautions, 'value'),
            'need' => null,
        ];
    }

    /** @return int as many as fit the bed's width */
    public static function rows(CropParameters $crop, Bed $bed): int
    {
        return max(1, (int) floor((100 * ($bed->width_m ?? 0.0)) / $crop->spacing->rowCm));
    }

    /**
     * For what is planned between rows, there are as many rows as fit in the spaces between those, or beside the only one.
     *
     * @param  list<Told>  $told
     * @return list<Told>
     */
    private static function neededBetween(Bed $bed, CoreBed $core, array $told): array
    {
        foreach ($told as $i => $stay) {
            [$first, $second] = [$core->stay($stay['between']), $core->stay($stay['key'])];
            if ($stay['need'] !== null && $first !== null && $second !== null) {
                $rows = max(1, self::rows($first->crop, $bed) - 1) * max(1, Between::judge($first, $second)->rows);
                $told[$i]['need'] = self::need($second->crop, $rows, $stay['metres'], $stay['spares']);
            }
        }

        return $told;
    }

    /** @return array{rows: int, plants: int, spares: int|null, seeds: int|null, grams: float|null} with the seed of spare seedlings */
    private static function need(CropParameters $crop, int $rows, float $metres, bool $spares): array
    {
        $need = SeedNeed::ofRows($crop, $metres, $rows);
        $more = $spares ? SeedNeed::ofSpares($crop, $metres, $rows) : null;

        return [
            'rows' => $rows,
            'plants' => (int) ceil($need->plants),
            'spares' => $spares ? PlantingSpares::plants($crop, $metres, $rows) : null,
            'seeds' => $need->seeds === null ? null : (int) ceil($need->seeds + ($more->seeds ?? 0.0)),
            'grams' => $need->grams === null ? null : round($need->grams + ($more->grams ?? 0.0), 1),
        ];
    }

    /**
     * @param  list<Told>  $told
     * @return list<array{kind: string, from: string, to: string, keys: list<string>, why: list<string>}> as Conflict
     */
    private function conflicts(CoreBed $bed, array $told, ?GrowingHere $here): array
    {
        $kinds = $usual = [];
        foreach ($told as $stay) {
            $kinds[$stay['key']] = StandingKind::from($stay['kind']);
            $candidate =
                $stay['kind'] === StandingKind::Planned->value
                    ? $here?->candidate($stay['crop'], $stay['variety'], Route::from($stay['route']))
                    : null;
            if ($candidate !== null) {
                $usual[$stay['key']] = $candidate->days;
            }
        }

        return array_map(
            static fn (Conflict $c): array => [
                'kind' => $c->kind,
                'from' => $c->from->iso(),
                'to' => $c->to->iso(),
                'keys' => $c->keys,
                'why' => $c->why,
            ],
            Conflict::on($bed, $kinds, $usual),
        );
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
