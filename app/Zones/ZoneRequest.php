<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\OfficeInUse;
use Closure;
use Illuminate\Contracts\Validation\Rule;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Unique;
use Illuminate\Validation\Validator;

class ZoneRequest extends FormRequest
{
    /** An office's zones are closer to each other than this; for partner districts, it asks. */
    private const FAR_KM = 500.0;

    public function authorize(): bool
    {
        $zone = $this->route('zone');

        return $zone instanceof Zone
            ? $this->user()?->can('update', $zone) === true
            : $this->user()?->can('create', Zone::class) === true;
    }

    /** @return array<string, list<string|Rule|Unique>> */
    public function rules(): array
    {
        $zone = $this->route('zone');

        return [
            'name' => [
                'required',
                'string',
                'max:80',
                'regex:/\pL/u',
                (new Unique('zones', 'name'))->where('office_id', OfficeInUse::one())->ignore($zone instanceof Zone ? $zone->id : null),
            ],
            'district' => ['required', 'string', 'max:80'],
            'latitude' => ['required', 'numeric', 'between:-90,90'],
            'longitude' => ['required', 'numeric', 'between:-180,180'],
            'far_off' => ['nullable', 'boolean'],
            'height_m' => ['required', 'integer', 'between:-430,6000'],
            'time_zone' => ['nullable', 'string', 'timezone:all'],
            'settlements' => ['present', 'array', 'max:500'],
            'settlements.*.name' => ['required', 'string', 'max:80'],
            'settlements.*.postcode' => ['nullable', 'string', 'max:12'],
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $far = $validator->errors()->isNotEmpty() || $this->boolean('far_off') ? null : $this->farOff();
                if ($far !== null) {
                    $validator->errors()->add('far_off', $far);
                }
            },
        ];
    }

    /** @return string|null what to say if the place is so far from every other zone that a sign may be wrong; null: it is not */
    private function farOff(): ?string
    {
        [$latitude, $longitude] = [(float) $this->input('latitude'), (float) $this->input('longitude')];
        $zone = $this->route('zone');
        if ($zone instanceof Zone && $zone->latitude === $latitude && $zone->longitude === $longitude) {
            return null;
        }
        $away = static fn (Zone $z): float => GreatCircle::kilometres($z->latitude, $z->longitude, $latitude, $longitude);
        $nearest = Zone::query()
            ->when($zone instanceof Zone, static fn ($q) => $q->whereKeyNot($zone->id))
            ->get()
            ->sortBy($away)
            ->first();
        if ($nearest === null || $away($nearest) <= self::FAR_KM) {
            return null;
        }

        return Coordinates::inWords($latitude, $longitude).' is '.
            number_format(round($away($nearest), -1), 0, '.', ' ').
            " km from the nearest other zone, {$nearest->name} (".
            Coordinates::inWords($nearest->latitude, $nearest->longitude).
            '). Check the signs; if it is right, confirm it.';
    }

    /** @return array{name: string, district: string, latitude: float, longitude: float, height_m: int, time_zone?: string|null, settlements: list<array{name: string, postcode?: string|null}>} */
    public function values(): array
    {
        $values = array_diff_key($this->validated(), ['far_off' => true]);

        return [
            'latitude' => (float) $values['latitude'],
            'longitude' => (float) $values['longitude'],
            'height_m' => (int) $values['height_m'],
            'settlements' => array_values($values['settlements']),
        ] + $values;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.unique' => 'There already is a zone with this name.',
            'name.regex' => 'A name needs at least one letter.',
            'latitude.between' => 'A latitude is between −90 and 90 degrees; :input is not.',
            'longitude.between' => 'A longitude is between −180 and 180 degrees; :input is not.',
            'height_m.between' => 'An elevation is between −430 and 6000 m (−1,400 and 19,700 ft); :input is not.',
            'time_zone.timezone' => 'There is no time zone “:input”. Choose one from the list.',
            'settlements.*.name.required' => 'Town :position needs a name. Enter one, or delete its row.',
            'settlements.*.postcode.max' => 'The ZIP code of town :position is longer than 12 characters.',
        ];
    }

    /** @return array<string, string> */
    public function attributes(): array
    {
        return ['height_m' => 'height'];
    }
}
