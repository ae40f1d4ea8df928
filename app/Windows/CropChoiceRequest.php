<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Window\School\OwnDates;
use Anthesis\Window\School\Schools;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use InvalidArgumentException;

class CropChoiceRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('update', $this->route('zone')) === true;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $day = static function (string $field, mixed $value, Closure $fail): void {
            try {
                YearDay::fromIso(is_string($value) ? $value : '');
            } catch (InvalidArgumentException $error) {
                $fail($error->getMessage());
            }
        };

        return [
            'school' => ['required', Rule::in([...Schools::keys(), OwnDates::KEY])],
            'replaces' => ['present', 'nullable', 'integer', 'between:1,9000000000000000'],
            'reason' => ['required', 'string', 'max:500'],
            'windows' => ['required_if:school,'.OwnDates::KEY, 'array', 'max:12'],
            'windows.*.route' => ['required', Rule::enum(Route::class)],
            'windows.*.first' => ['required', $day],
            'windows.*.last' => ['required', $day],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'replaces.present' => 'The choice this one replaces is missing (“replaces”; null for none). Reload the page.',
            'reason.required' => 'Explain why in a few words, so others can follow.',
            'windows.required_if' => 'Add at least one window of your own.',
        ];
    }

    public function school(): string
    {
        return (string) $this->validated('school');
    }

    /** @return int|null the choice that applied when this one was made */
    public function replaces(): ?int
    {
        $replaces = $this->validated('replaces');

        return $replaces === null ? null : (int) $replaces;
    }

    public function reason(): string
    {
        return (string) $this->validated('reason');
    }

    /** @return array<string, list<array{first: string, last: string}>> by way of growing */
    public function windows(): array
    {
        $windows = [];
        foreach ($this->validated('windows') ?? [] as $window) {
            $windows[$window['route']][] = ['first' => $window['first'], 'last' => $window['last']];
        }

        return $windows;
    }
}
