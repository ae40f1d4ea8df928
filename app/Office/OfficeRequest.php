<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use Anthesis\Messages\Words;
use Anthesis\Window\ProofStandard;
use App\People\Role;
use App\People\VersionedRequest;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use Illuminate\Validation\Validator;

class OfficeRequest extends FormRequest
{
    /** What only administrators may change, and what others are told. */
    private const ADMINISTRATORS = [
        'second_signature' => 'Only an administrator changes whether editions need a second signature.',
        'second_factor' => 'Only an administrator changes whether everybody needs a second step to log in.',
    ];

    public function authorize(): bool
    {
        return $this->user()?->role->doesEducatorsWork() === true;
    }

    /** @return array<string, list<string|Enum|In>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'mark' => ['sometimes', new Enum(MarkColor::class)],
            'languages' => ['sometimes', 'nullable', 'array', 'list'],
            'languages.*' => ['string', 'distinct', Rule::in(array_diff(Words::languages(), [Words::SOURCE]))],
            'standard' => ['sometimes', new Enum(ProofStandard::class)],
            'mail' => ['present', 'nullable', 'email', 'max:200'],
            'phone' => ['present', 'nullable', 'string', 'max:60', 'regex:/^[0-9+() .\/-]+$/'],
            'address' => ['present', 'nullable', 'string', 'max:500'],
            'hours' => ['present', 'nullable', 'string', 'max:500'],
            'licence' => ['present', 'nullable', 'string', 'max:200'],
            'water_rules' => ['nullable', 'string', 'max:500'],
            'water_rules_from' => ['nullable', 'string', 'date_format:Y-m-d'],
            'water_rules_until' => ['nullable', 'string', 'date_format:Y-m-d', 'after_or_equal:water_rules_from'],
            'second_signature' => ['required', 'boolean'],
            'second_factor' => ['sometimes', 'boolean'],
            'units' => ['required', new Enum(UnitSystem::class)],
            'dates' => ['required', new Enum(DateStyle::class)],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                foreach (self::ADMINISTRATORS as $field => $words) {
                    $changes = $this->has($field) && $this->boolean($field) !== (bool) Office::inUse()->{$field};
                    if ($changes && $this->user()?->role !== Role::Administrator) {
                        $validator->errors()->add($field, $words);
                    }
                }
            },
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter the name of the office.',
            'mail.email' => 'This is not an e-mail address. One looks like office@example.org.',
            'water_rules.max' => 'Describe the rules in at most 500 characters, and where to read the rest.',
            '*.date_format' => 'Enter the day as YYYY-MM-DD.',
            'water_rules_until.after_or_equal' => 'The rules end before they start. Check both days.',
            'phone.regex' => 'A phone number has digits, spaces, +, -, /, and parentheses.',
        ];
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return $this->validated();
    }

    public function version(): int
    {
        return VersionedRequest::of($this);
    }
}
