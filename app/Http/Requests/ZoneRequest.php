<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Zone;
use Illuminate\Contracts\Validation\Rule;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Unique;

class ZoneRequest extends FormRequest
{
    public function authorize(): bool
    {
        $zone = $this->route('zone');

        return $zone instanceof Zone ? $this->user()?->can('update', $zone) === true : $this->user()?->can('create', Zone::class) === true;
    }

    /** @return array<string, list<string|Rule|Unique>> */
    public function rules(): array
    {
        $zone = $this->route('zone');

        return [
            'name' => ['required', 'string', 'max:80', 'regex:/\pL/u',
                (new Unique('zones', 'name'))->ignore($zone instanceof Zone ? $zone->id : null)],
            'district' => ['required', 'string', 'max:80'],
            'latitude' => ['required', 'numeric', 'between:-90,90'],
            'longitude' => ['required', 'numeric', 'between:-180,180'],
            'height_m' => ['required', 'integer', 'between:-430,6000'],
            'settlements' => ['present', 'array', 'max:500'],
            'settlements.*.name' => ['required', 'string', 'max:80'],
            'settlements.*.postcode' => ['nullable', 'string', 'max:12'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.unique' => 'There is a zone of this name already.',
            'name.regex' => 'A name needs at least one letter.',
            'latitude.between' => 'A latitude lies between −90 and 90 degrees; :input does not.',
            'longitude.between' => 'A longitude lies between −180 and 180 degrees; :input does not.',
            'height_m.between' => 'A height lies between −430 and 6000 m; :input does not.',
            'settlements.*.name.required' => 'Settlement :position needs a name, or take its row out.',
            'settlements.*.postcode.max' => 'The postcode of settlement :position is longer than 12 characters.',
        ];
    }

    /** @return array<string, string> */
    public function attributes(): array
    {
        return ['height_m' => 'height'];
    }
}
