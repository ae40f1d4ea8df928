<?php

declare(strict_types=1);

namespace App\Sites;

use Anthesis\Soil\Ground;
use App\Operations\OfficeInUse;
use App\Operations\SeenHere;
use App\Zones\Zone;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\In;
use Illuminate\Validation\Rules\Unique;

class SiteRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('update', $this->site()) === true;
    }

    /** @return array<string, list<string|In|Unique|SeenHere>> */
    public function rules(): array
    {
        $zoneId = $this->zoneId();
        $unique = Rule::unique('sites', 'name')->where(
            static fn ($query) => $zoneId === null
                ? $query->where('office_id', OfficeInUse::one())->whereNull('zone_id')
                : $query->where('zone_id', $zoneId),
        );

        return [
            'name' => ['required', 'string', 'max:60', $unique->ignore($this->site()->id)],
            'zone' => ['nullable', 'string', Zone::seenHere()],
            'air' => ['required', 'numeric', 'between:-15,15'],
            'sun' => ['required', 'numeric', 'between:-5,15'],
            'rate' => ['required', 'numeric', 'between:0.1,3'],
            'protection' => ['required', 'numeric', 'between:-15,15'],
            'offset' => ['required', 'numeric', 'between:-15,15'],
            'ground' => ['sometimes', 'string', Rule::in(Ground::names())],
            'note' => ['present', 'nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'A site needs a name.',
            'name.unique' => 'There is a growing site with that name already.',
            'ground.in' => 'Choose one of these kinds of ground: '.implode(', ', Ground::names()).'.',
            '*.between' => 'Enter a number between :min and :max.',
            '*.numeric' => 'Give a number.',
            '*.required' => 'Give a number.',
        ];
    }

    /** @return array<string, mixed> a preset keeps its name; a site keeps its zone */
    public function values(): array
    {
        $site = $this->site();
        $values = $this->validated();
        unset($values['zone']);
        $values['note'] ??= '';
        if ($site->preset) {
            unset($values['name']);
        }

        return $site->exists ? $values : $values + ['zone_id' => $this->zoneId()];
    }

    private function site(): Site
    {
        $site = $this->route('site');

        return $site instanceof Site ? $site : new Site();
    }

    private function zoneId(): ?int
    {
        $zone = $this->input('zone');

        return match (true) {
            $this->site()->exists => $this->site()->zone_id,
            // Anything else is refused by its rule.
            is_string($zone) => Zone::query()->where('slug', $zone)->value('id'),
            default => null,
        };
    }
}
