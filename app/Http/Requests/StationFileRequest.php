<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Anthesis\Exchange\DateOrder;
use Anthesis\Exchange\TemperatureUnit;
use App\Support\StationFile;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rules\Enum;

/** @phpstan-import-type Choices from StationFile */
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
            'date_order' => ['nullable', new Enum(DateOrder::class)],
            'station' => ['nullable', 'string', 'max:120'],
            'replace' => ['nullable', 'boolean'],
            'columns' => ['nullable', 'array:date,minimum,maximum'],
            'columns.date' => ['required_with:columns', 'integer', 'min:0', 'different:columns.minimum', 'different:columns.maximum'],
            'columns.minimum' => ['required_with:columns', 'integer', 'min:0', 'different:columns.maximum'],
            'columns.maximum' => ['required_with:columns', 'integer', 'min:0'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $tooLarge = 'The file is larger than '.self::limit().' MiB. A daily record of 150 years has about 2 MiB: bring one station’s daily table.';

        return [
            'columns.*.different' => 'Date, minimum and maximum come from three different columns.',
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

    /** @return Choices */
    public function choices(): array
    {
        $chosen = array_filter($this->safe(['unit', 'date_order', 'station', 'replace', 'columns']), static fn (mixed $v): bool => $v !== null);
        if (isset($chosen['replace'])) {
            $chosen['replace'] = (bool) $chosen['replace'];
        }
        if (isset($chosen['columns'])) {
            $chosen['columns'] = array_map(intval(...), $chosen['columns']);
        }

        return $chosen;
    }

    private static function limit(): int
    {
        return (int) config('anthesis.upload_mib');
    }
}
