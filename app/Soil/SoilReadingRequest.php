<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Record\Day;
use App\Operations\Say;
use App\Zones\Zone;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

class SoilReadingRequest extends FormRequest
{
    /** Figures of ten minutes, one every two seconds. */
    private const MOST_FIGURES = 300;

    public function authorize(): bool
    {
        return $this->user() !== null;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
            'spot' => ['required', 'integer'],
            'on' => ['required', 'string', 'max:10'],
            'hour' => ['required', 'numeric', 'between:0,24'],
            'depth' => ['required', 'numeric', 'between:0,3'],
            'celsius' => ['required_without:figures', 'nullable', 'numeric', 'between:-40,80'],
            'simulated' => ['nullable', 'boolean'],
            ...self::figureRules(),
        ];
    }

    /** @return array<string, list<string>> */
    public static function figureRules(): array
    {
        return [
            'figures' => ['nullable', 'array', 'list', 'max:'.self::MOST_FIGURES],
            'figures.*' => ['array', 'list', 'size:2'],
            'figures.*.*' => ['numeric', 'between:-40,100000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'key.required' => 'Send your own key (“key”) so the same reading is not saved twice.',
            'celsius.required_without' => 'Type what the thermometer shows, or the figures as they move.',
            'celsius.between' => 'A soil thermometer shows −40 to 80 °C. Check the number and its unit.',
            'depth.between' => 'Enter the depth in meters, 0 to 3: five centimeters is 0.05.',
            'hour.between' => 'Enter an hour between 0 and 24.',
        ];
    }

    public function spot(Zone $zone): SoilSpot
    {
        return SoilSpot::query()->where('zone_id', $zone->id)->find($this->integer('spot')) ??
            throw ValidationException::withMessages([
                'spot' => 'This zone has no such spot. Choose another one, or add it first.',
            ]);
    }

    /** @param  Day  $today  in the zone the reading was taken in */
    public function day(Day $today): Day
    {
        try {
            $day = Day::fromIso((string) $this->validated('on'));
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['on' => 'Enter the day of the reading as YYYY-MM-DD.']);
        }
        if ($today->isBefore($day)) {
            throw ValidationException::withMessages([
                'on' => Say::date($day).' has not come yet. Give the day the reading was taken on.',
            ]);
        }

        return $day;
    }

    /** @return list<array{float, float}> */
    public function figures(): array
    {
        return array_map(
            static fn (array $f): array => [(float) $f[0], (float) $f[1]],
            array_values((array) ($this->validated('figures') ?? [])),
        );
    }
}
