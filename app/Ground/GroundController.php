<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Ground\Between;
use Anthesis\Ground\Fit;
use Anthesis\Ground\Rotation;
use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Log\Bed;
use App\Log\Sowing;
use App\Operations\Answer;
use App\People\VersionedRequest;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

class GroundController
{
    /** The most fits that are listed. */
    private const FITS = 200;

    private const MOST_WISHES = 120;

    public function __construct(private readonly ZoneGround $ground)
    {
    }

    public function show(Request $request, Zone $zone): JsonResponse
    {
        [$from, $to] = $this->span($request, $zone);

        return Answer::of($this->ground->of($zone, $zone->today(), $from, $to));
    }

    public function storeBed(Request $request, Zone $zone, SaveBed $save): JsonResponse
    {
        [$garden, $name, $site, $length, $width] = $this->bed($request, $zone, null);
        $save->create($zone, $request->user(), $garden, $name, $site, $length, $width);

        return $this->show($request, $zone)->setStatusCode(201);
    }

    public function updateBed(Request $request, Zone $zone, Bed $bed, SaveBed $save): JsonResponse
    {
        abort_unless($bed->zone_id === $zone->id, 404, 'This zone has no such bed.');
        $save->update($bed, VersionedRequest::of($request), $request->user(), ...$this->bed($request, $zone, $bed));

        return $this->show($request, $zone);
    }

    /** What fits in a bed from one day to another, best first. */
    public function fits(Request $request, Zone $zone, Bed $bed): JsonResponse
    {
        abort_unless($bed->zone_id === $zone->id, 404, 'This zone has no such bed.');
        [$from, $to] = $this->span($request, $zone);
        $here = $this->ground->growing($zone) ?? abort(404, GrowingHere::NO_RECORD);
        $core = $this->ground->beds($zone, $here, $zone->today(), $from, $to->plus(365), [$bed->id])[0]['core'];

        return Answer::of([
            'free_m' => $core->free($from, $to),
            'fits' => array_map(
                static fn (Fit $f): array => [
                    'crop' => $f->candidate->crop->slug,
                    'name' => $f->candidate->crop->name,
                    'family' => $f->candidate->crop->family,
                    'variety' => $f->candidate->variety,
                    'route' => $f->candidate->route->value,
                    'act' => $f->candidate->crop->act($f->candidate->route)->value,
                    'on' => $f->on->iso(),
                    'first' => $f->first->iso(),
                    'to' => $f->to->iso(),
                    'share' => round($f->share, 3),
                    'a_metre_and_day' => round($f->worth, 4),
                    'unit' => $f->unit,
                    'feeds' => $f->feeds,
                    'is_cover' => $f->candidate->crop->kind === 'cover',
                    'breaks' => $f->breaks === null
                            ? null
                            : [
                                'name' => $f->breaks->crop->name,
                                'from' => $f->breaks->from->iso(),
                                'to' => $f->breaks->to->iso(),
                                'years' => Rotation::years($f->candidate->crop->family),
                            ],
                ],
                array_slice(Fit::rank($core, $here->all(), $from, $to), 0, self::FITS),
            ),
        ]);
    }

    /** What fits between the rows of something in a bed, best first, and what does not, and why. */
    public function between(Request $request, Zone $zone, Bed $bed): JsonResponse
    {
        abort_unless($bed->zone_id === $zone->id, 404, 'This zone has no such bed.');
        $key = (string) $request->validate(['stay' => ['required', 'string', 'max:80']])['stay'];
        $here = $this->ground->growing($zone) ?? abort(404, GrowingHere::NO_RECORD);
        $today = $zone->today();
        $core = $this->ground->beds($zone, $here, $today, $today->plus(-365), $today->plus(730), [$bed->id])[0]['core'];
        $first = $core->stay($key) ?? abort(404, 'This is no longer in the bed. Reload the page.');
        $told = [];
        foreach (
            $first->between === null ? Between::fits($core, $first, $here->all(), $today) : [] as ['fit' => $fit, 'between' => $between]
        ) {
            $told[] = [
                'crop' => $fit->candidate->crop->slug,
                'name' => $fit->candidate->crop->name,
                'variety' => $fit->candidate->variety,
                'route' => $fit->candidate->route->value,
                'act' => $fit->candidate->crop->act($fit->candidate->route)->value,
                'on' => $fit->on->iso(),
                'first' => $fit->first->iso(),
                'to' => $fit->to->iso(),
                'share' => round($fit->share, 3),
                'relay' => $between->isRelay,
                'rows' => $between->rows,
                'apart_cm' => round($between->apartCm, 1),
                'against' => $between->against,
            ];
        }

        return Answer::of([
            'closes' => Between::closes($first)->iso(),
            'room_m' => $first->between === null ? round(Between::room($core, $first, $today), 2) : 0.0,
            'fits' => array_slice($told, 0, self::FITS),
        ]);
    }

    /** Changes what is planned; returns what would undo it, and the beds that have changed. */
    public function updatePlantings(Request $request, Zone $zone, SavePlantings $save): JsonResponse
    {
        [$from, $to] = $this->span($request, $zone);
        $asked = $this->plantings($request);
        $change = [];
        foreach ($asked['change'] ?? [] as $i => $one) {
            $change[] = self::named($one) + $this->place($zone, $one, "change.{$i}");
        }
        $saved = $save->execute(
            $zone,
            $request->user(),
            $this->added($zone, $asked['add'] ?? []),
            $change,
            array_map(self::named(...), array_values($asked['remove'] ?? [])),
            array_map(self::named(...), array_values($asked['restore'] ?? [])),
        );

        return Answer::of(['ground' => $this->ground->of($zone, $zone->today(), $from, $to, $saved['beds']), 'undo' => $saved['undo']]);
    }

    /** @return array<string, mixed> changes of plantings, as asked for */
    private function plantings(Request $request): array
    {
        return $request->validate(
            [
                'add' => ['nullable', 'array', 'list', 'max:'.self::MOST_WISHES],
                'add.*.key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
                'add.*.crop' => ['required', 'string', 'max:60'],
                'add.*.variety' => ['nullable', 'string', 'max:80'],
                'add.*.route' => ['required', Rule::in(['direct', 'transplant'])],
                'change' => ['nullable', 'array', 'list', 'max:'.self::MOST_WISHES],
                'change.*.id' => ['required', 'integer'],
                'change.*.version' => ['required', 'integer'],
                'add.*' => ['array'],
                'change.*' => ['array'],
                ...$this->placeRules('add.*'),
                ...$this->placeRules('change.*'),
                ...self::namedRules('remove'),
                ...self::namedRules('restore'),
            ],
            [
                '*.*.version.required' => 'The version of the planting is missing (“version”). Reload the page.',
                '*.*.metres.between' => 'A planting takes 0.1 to 1,000 m of its bed.',
                '*.*.on.date_format' => 'Enter the day as YYYY-MM-DD.',
            ],
        );
    }

    /**
     * @param  array<int, array<string, mixed>>  $asked
     * @return list<array<string, mixed>>
     */
    private function added(Zone $zone, array $asked): array
    {
        $add = [];
        foreach ($asked as $i => $one) {
            $crop =
                Crop::query()->where('slug', $one['crop'])->first() ??
                throw ValidationException::withMessages(["add.{$i}.crop" => 'The book has no such crop. Choose another one.']);
            if (! in_array($one['route'], array_column($crop->toCore()->routes, 'value'), true)) {
                throw ValidationException::withMessages(["add.{$i}.route" => "{$crop->cells['name']} is not grown in this way."]);
            }
            $add[] =
                [
                    'key' => (string) $one['key'],
                    'crop' => $crop->id,
                    'variety' => $one['variety'] ?? null,
                    'route' => (string) $one['route'],
                ] + $this->place($zone, $one, "add.{$i}");
        }

        return $add;
    }

    /** A season's plan, proposed and not saved. */
    public function propose(Request $request, Zone $zone, SeasonPlan $plan): JsonResponse
    {
        [$from, $to] = $this->span($request, $zone);
        $asked = $request->validate(
            [
                'beds' => ['required', 'array', 'list', 'min:1', 'max:100'],
                'beds.*' => ['integer', 'distinct'],
                'wishes' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST_WISHES],
                'wishes.*' => ['array'],
                'wishes.*.key' => ['required', 'string', 'max:64', 'distinct'],
                'wishes.*.crop' => ['required', 'string', 'max:60'],
                'wishes.*.variety' => ['nullable', 'string', 'max:80'],
                'wishes.*.metres' => ['required', 'numeric', 'between:0.1,1000'],
            ],
            [
                'beds.required' => 'Choose at least one bed.',
                'beds.*.distinct' => 'A bed is listed twice.',
                'wishes.required' => 'Add a crop to fit in.',
                'wishes.*.key.distinct' => 'A crop is listed twice.',
                'wishes.*.metres.between' => 'A crop takes 0.1 to 1,000 m of a bed.',
            ],
        );
        $here = $this->ground->growing($zone) ?? abort(404, GrowingHere::NO_RECORD);

        return Answer::of($plan->propose(
            $zone,
            $here,
            $zone->today(),
            array_map(intval(...), array_values($asked['beds'])),
            self::wishes($here, $asked['wishes']),
            $from,
            $to,
        ));
    }

    /**
     * @param  array<int, array<string, mixed>>  $asked
     * @return list<array{key: string, crop: string, variety: string|null, metres: float}>
     */
    private static function wishes(GrowingHere $here, array $asked): array
    {
        $wishes = [];
        foreach ($asked as $i => $wish) {
            if ($here->waysOf($wish['crop'], $wish['variety'] ?? null) === []) {
                throw ValidationException::withMessages([
                    "wishes.{$i}.crop" => 'The book has no such crop or variety. Choose another one.',
                ]);
            }
            $wishes[] = [
                'key' => (string) $wish['key'],
                'crop' => (string) $wish['crop'],
                'variety' => $wish['variety'] ?? null,
                'metres' => (float) $wish['metres'],
            ];
        }

        return $wishes;
    }

    public function tasks(Request $request, Zone $zone, ZoneTasks $tasks): JsonResponse
    {
        [$from, $to] = $this->span($request, $zone);

        return Answer::of($tasks->of($zone, $zone->today(), $from, $to));
    }

    /** Seedlings to raise beside a planned sowing, in case it fails; null if they would not help. */
    public function spares(Zone $zone, Planting $planting, PlantingSpares $spares): JsonResponse
    {
        abort_unless($planting->zone_id === $zone->id && $planting->removed_at === null, 404, 'This zone has no such planting.');
        $here = $this->ground->growing($zone);

        return Answer::of($here === null ? null : $spares->told($zone, $here, $planting));
    }

    /** @return array<string, list<string>> for a list of plantings, each with the version it refers to */
    private static function namedRules(string $of): array
    {
        return [
            $of => ['nullable', 'array', 'list', 'max:'.self::MOST_WISHES],
            "{$of}.*" => ['array'],
            "{$of}.*.id" => ['required', 'integer'],
            "{$of}.*.version" => ['required', 'integer'],
        ];
    }

    /**
     * @param  array<string, mixed>  $one
     * @return array{id: int, version: int}
     */
    private static function named(array $one): array
    {
        return ['id' => (int) $one['id'], 'version' => (int) $one['version']];
    }

    /** @return array{Day, Day} */
    private function span(Request $request, Zone $zone): array
    {
        $day = ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after_or_equal:1950-01-01', 'before:2150-01-01'];
        $asked = validator(
            $request->query->all(),
            ['from' => $day, 'to' => $day],
            ['*.date_format' => 'Enter the day as YYYY-MM-DD.'],
        )->validate();
        $from = isset($asked['from']) ? Day::fromIso($asked['from']) : Day::of($zone->today()->year(), 1, 1);
        $to = isset($asked['to']) ? Day::fromIso($asked['to']) : $from->plus(364);
        if ($to->isBefore($from) || $to->number - $from->number > 3660) {
            throw ValidationException::withMessages(['to' => 'Choose a last day after the first, at most ten years later.']);
        }

        return [$from, $to];
    }

    /** @return array{string, string, Site, float|null, float|null} garden, name, site, length, width */
    private function bed(Request $request, Zone $zone, ?Bed $bed): array
    {
        $asked = $request->validate(
            [
                'garden' => ['required', 'string', 'max:80'],
                'name' => ['required', 'string', 'max:80'],
                'site' => ['nullable', 'string', 'max:80'],
                'length_m' => ['nullable', 'numeric', 'between:0.1,1000'],
                'width_m' => ['nullable', 'numeric', 'between:0.1,100'],
            ],
            [
                'garden.required' => 'Enter the garden the bed is in.',
                'name.required' => 'Enter a name for the bed.',
                'length_m.between' => 'A bed is 0.1 to 1,000 m long. Check the number and its unit.',
                'width_m.between' => 'A bed is 0.1 to 100 m wide. Check the number and its unit.',
            ],
        );
        $same = Bed::query()
            ->where(['zone_id' => $zone->id, 'garden' => $asked['garden'], 'name' => $asked['name']])
            ->first();
        if ($same !== null && $same->id !== $bed?->id) {
            throw ValidationException::withMessages([
                'name' => 'There already is a bed with that name in this garden. Choose another name.',
            ]);
        }
        $site = isset($asked['site'])
            ? Site::seenIn($zone)->where('name', $asked['site'])->first() ??
                throw ValidationException::withMessages(['site' => 'This zone has no such growing site. Choose another one.'])
            : Site::seenIn($zone)->firstOrFail();
        $number = static fn (string $of): ?float => isset($asked[$of]) ? (float) $asked[$of] : null;

        return [$asked['garden'], $asked['name'], $site, $number('length_m'), $number('width_m')];
    }

    /** @return array<string, list<mixed>> */
    private function placeRules(string $of): array
    {
        return [
            "{$of}.bed" => ['required', 'integer'],
            "{$of}.on" => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after_or_equal:1950-01-01', 'before:2150-01-01'],
            "{$of}.metres" => ['required', 'numeric', 'between:0.1,1000'],
            "{$of}.pinned" => ['nullable', 'boolean'],
            "{$of}.spares" => ['nullable', 'boolean'],
            "{$of}.between" => ['nullable', 'string', 'max:80'],
        ];
    }

    /**
     * @param  array<string, mixed>  $one
     * @return array{bed: int, on: string, metres: float, pinned: bool, spares?: bool, between?: string|null}
     */
    private function place(Zone $zone, array $one, string $at): array
    {
        $bed =
            Bed::query()->where('zone_id', $zone->id)->find((int) $one['bed']) ??
            throw ValidationException::withMessages(["{$at}.bed" => 'This zone has no such bed. Reload the page.']);
        $length = $bed->length_m ?? ZoneGround::LENGTH;
        if ((float) $one['metres'] > $length + 1e-6) {
            throw ValidationException::withMessages([
                "{$at}.metres" => "{$bed->name} is {$length} m long. Plant at most that, or make the bed longer.",
            ]);
        }

        return [
            'bed' => $bed->id,
            'on' => (string) $one['on'],
            'metres' => (float) $one['metres'],
            'pinned' => (bool) ($one['pinned'] ?? false),
        ] +
            (isset($one['spares']) ? ['spares' => (bool) $one['spares']] : []) +
            (array_key_exists('between', $one)
                ? ['between' => $this->betweenRows($bed, $one['between'], (int) ($one['id'] ?? 0), $at)]
                : []);
    }

    /** @return string|null the key of something in the bed that has its own space */
    private function betweenRows(Bed $bed, ?string $key, int $own, string $at): ?string
    {
        [$what, $which] = explode(' ', "{$key} ", 2) + ['', ''];
        $isThere = match ($what) {
            '' => true,
            'planting' => Planting::query()
                ->where('bed_id', $bed->id)
                ->whereNull('between')
                ->whereNull('removed_at')
                ->whereKey((int) trim($which))
                ->whereKeyNot($own)
                ->exists(),
            default => Sowing::query()
                ->where('bed_id', $bed->id)
                ->where('idempotency_key', trim($which))
                ->where('taken_back', false)
                ->exists(),
        };

        return $isThere
            ? $key
            : throw ValidationException::withMessages([
                "{$at}.between" => 'What it should grow between is not in this bed, or grows between rows itself. Choose another one.',
            ]);
    }
}
