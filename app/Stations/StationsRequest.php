<?php

declare(strict_types=1);

namespace App\Stations;

use App\Zones\Zone;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Exists;

class StationsRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('update', $this->route('zone')) === true;
    }

    /** @return array<string, list<string|Exists>> */
    public function rules(): array
    {
        /** @var Zone $zone */
        $zone = $this->route('zone');

        return [
            'stations' => ['required', 'array', 'min:1', 'max:20'],
            'stations.*.id' => ['required', 'integer', 'distinct', Rule::exists('stations', 'id')->where('zone_id', $zone->id)],
            'stations.*.name' => ['required', 'string', 'max:120'],
            'stations.*.height_m' => ['present', 'nullable', 'integer', 'between:-430,8800'],
            'stations.*.lapse' => ['required', 'numeric', 'between:-0.02,0.02'],
            'stations.*.matched' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'stations.required' => 'A zone needs at least its primary station.',
            'stations.*.id.exists' => 'That station does not belong to this zone. Reload the page.',
            'stations.*.name.required' => 'A station needs a name.',
            'stations.*.height_m.between' => 'An elevation is between −430 and 8,800 m. Leave it blank if you do not know it.',
            'stations.*.lapse.between' => 'Temperature changes by −0.02 to 0.02 °C per meter; −0.0065 is typical.',
        ];
    }

    /** @return list<array{id: int, name: string, height_m: int|null, lapse: float, matched: bool}> */
    public function stations(): array
    {
        return array_map(
            static fn (array $s): array => [
                'id' => (int) $s['id'],
                'name' => (string) $s['name'],
                'height_m' => $s['height_m'] === null ? null : (int) $s['height_m'],
                'lapse' => (float) $s['lapse'],
                'matched' => (bool) $s['matched'],
            ],
            array_values($this->validated()['stations']),
        );
    }
}
