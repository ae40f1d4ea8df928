<?php

declare(strict_types=1);

namespace App\Sites;

use Anthesis\Tables\TemperatureUnit;
use App\Zones\Zone;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

class CalibrationRequest extends FormRequest
{
    private const MOST_KIB = 8192;

    public function authorize(): bool
    {
        return $this->user()?->can('update', $this->route('zone')) === true;
    }

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.self::MOST_KIB],
            'site' => ['required', 'integer'],
            'depth' => ['nullable', 'numeric', 'between:0,3'],
            'unit' => ['nullable', new Enum(TemperatureUnit::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file of readings first.',
            'file.max' => 'The file is larger than 8 MiB. Upload one season of readings.',
        ];
    }

    public function readings(): UploadedFile
    {
        /** @var UploadedFile $file validated */
        $file = $this->file('file');

        return $file;
    }

    public function site(): Site
    {
        /** @var Zone $zone */
        $zone = $this->route('zone');

        return Site::seenIn($zone)->find($this->integer('site')) ??
            throw ValidationException::withMessages(['site' => 'This zone has no such growing site. Choose another one.']);
    }

    public function depth(): ?float
    {
        return $this->validated('depth') === null ? null : (float) $this->validated('depth');
    }

    public function unit(): ?TemperatureUnit
    {
        return TemperatureUnit::tryFrom((string) $this->validated('unit'));
    }
}
