<?php

declare(strict_types=1);

namespace App\Office;

use App\People\VersionedRequest;
use App\Zones\Zone;
use Illuminate\Foundation\Http\FormRequest;

class OfficeRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('create', Zone::class) === true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'mail' => ['present', 'nullable', 'email', 'max:200'],
            'phone' => ['present', 'nullable', 'string', 'max:60', 'regex:/^[0-9+() .\/-]+$/'],
            'address' => ['present', 'nullable', 'string', 'max:500'],
            'hours' => ['present', 'nullable', 'string', 'max:500'],
            'licence' => ['present', 'nullable', 'string', 'max:200'],
            'second_signature' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Say what the office is called.', 'mail.email' => 'This is no mail address. It looks like office@example.org.', 'phone.regex' => 'A telephone number is made of digits, spaces, +, -, / and brackets.'];
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
