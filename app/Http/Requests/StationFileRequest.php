<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Anthesis\Exchange\TemperatureUnit;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rules\Enum;

class StationFileRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('update', $this->route('zone')) === true;
    }

    /** @return array<string, list<string|Enum>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.self::limit() * 1024],
            'unit' => ['nullable', new Enum(TemperatureUnit::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $tooLarge = 'The file is larger than '.self::limit().' MiB. A daily record of 150 years has about 2 MiB: bring one station’s daily table.';

        return [
            'file.required' => 'Choose a station file first.',
            'file.file' => 'The file did not arrive whole. Bring it again.',
            'file.uploaded' => $tooLarge,
            'file.max' => $tooLarge,
        ];
    }

    public function stationFile(): UploadedFile
    {
        /** @var UploadedFile $file validated */
        $file = $this->file('file');

        return $file;
    }

    public function unit(): ?TemperatureUnit
    {
        return $this->enum('unit', TemperatureUnit::class);
    }

    private static function limit(): int
    {
        return (int) config('anthesis.upload_mib');
    }
}
