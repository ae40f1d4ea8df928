<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use App\Crops\Crop;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

class TrialController
{
    private const MOST_PLOTS = 120;

    private const LISTED = 100;

    public function index(Request $request, Zone $zone): AnonymousResourceCollection
    {
        $crop = $request->validate(['crop' => ['nullable', 'string', 'max:60']])['crop'] ?? null;
        $trials = Trial::query()->where('zone_id', $zone->id)->with(self::WITH)->orderByDesc('id')->limit(self::LISTED);

        return TrialResource::collection(
            ($crop === null ? $trials : $trials->where('crop_id', Crop::query()->where('slug', $crop)->value('id') ?? 0))->get(),
        );
    }

    private const WITH = ['crop', 'user', 'plots.bed.site', 'plots.sowing.crop', 'plots.sowing.bed.site'];

    public function store(Request $request, Zone $zone, PlanTrial $save): JsonResponse
    {
        $asked = $request->validate($this->rules(), $this->messages());
        $crop =
            Crop::query()->with('varieties')->where('slug', $asked['crop'])->first() ??
            throw ValidationException::withMessages(['crop' => 'The book has no such crop. Choose another one.']);
        $route = Route::from($asked['route']);
        if (! in_array($route, $crop->toCore()->routes, true)) {
            throw ValidationException::withMessages(['route' => 'The crop is not grown in this way.']);
        }
        $varieties = array_values(array_map(static fn (?string $v): ?string => $v === '' ? null : $v, $asked['varieties']));
        if (count($asked['waves']) * count($varieties) * $asked['repeats'] > self::MOST_PLOTS) {
            throw ValidationException::withMessages([
                'repeats' => 'That comes to more than '.self::MOST_PLOTS.' plots. Take fewer waves, varieties or repeats.',
            ]);
        }
        $wave = static fn (array $w): array => ['name' => (string) $w['name'], 'on' => Day::fromIso((string) $w['on'])];
        $bed = static fn (array $b): array => ['garden' => (string) $b['garden'], 'name' => (string) $b['name']];
        $trial = $save->execute(
            $zone,
            $request->user(),
            $asked['key'],
            $crop,
            $route,
            $asked['measured_in'],
            $asked['question'],
            array_values(array_map($wave, $asked['waves'])),
            $varieties,
            (int) $asked['repeats'],
            array_values(array_map($bed, $asked['beds'] ?? [])),
        );

        return (new TrialResource($trial->load(self::WITH)))->response()->setStatusCode(201);
    }

    public function close(Request $request, Trial $trial, CloseTrial $save): TrialResource
    {
        Gate::authorize('publish', $trial->zone);
        $conclusion = $request->validate(
            ['conclusion' => ['required', 'string', 'max:600']],
            ['conclusion.required' => 'Describe what was learned in a sentence. It becomes part of the crop’s evidence.'],
        )['conclusion'];
        $save->execute($trial, $conclusion, $request->user());

        return new TrialResource($trial->refresh()->load(self::WITH));
    }

    public function reopen(Trial $trial, CloseTrial $save): TrialResource
    {
        Gate::authorize('publish', $trial->zone);
        $save->reopen($trial);

        return new TrialResource($trial->refresh()->load(self::WITH));
    }

    /** @return array<string, list<mixed>> */
    private function rules(): array
    {
        return [
            'key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
            'crop' => ['required', 'string', 'max:60'],
            'route' => ['required', Rule::in(array_column(Route::cases(), 'value'))],
            'measured_in' => ['required', Rule::in(Trial::MEASURES)],
            'question' => ['required', 'string', 'max:300'],
            'waves' => ['required', 'array', 'list', 'min:1', 'max:12'],
            'waves.*' => ['array:name,on'],
            'waves.*.name' => ['required', 'string', 'max:60', 'distinct'],
            'waves.*.on' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after_or_equal:1900-01-01', 'before:2200-01-01'],
            'varieties' => ['required', 'array', 'list', 'min:1', 'max:12'],
            'varieties.*' => ['nullable', 'string', 'max:80', 'distinct'],
            'repeats' => ['required', 'integer', 'between:1,20'],
            'beds' => ['nullable', 'array', 'list', 'max:40'],
            'beds.*' => ['array:garden,name'],
            'beds.*.garden' => ['required', 'string', 'max:80'],
            'beds.*.name' => ['required', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    private function messages(): array
    {
        return [
            'key.required' => 'Send your own key (“key”) so the same request is not carried out twice.',
            'question.required' => 'Enter the question the trial should answer.',
            'waves.required' => 'Add at least one wave.',
            'waves.*.name.distinct' => 'Two waves have the same name. Give each one its own.',
            'waves.*.on.date_format' => 'Enter the day of each wave as YYYY-MM-DD.',
            'varieties.*.distinct' => 'A variety is listed twice.',
            'repeats.between' => 'A trial has 1 to 20 repeats.',
        ];
    }
}
