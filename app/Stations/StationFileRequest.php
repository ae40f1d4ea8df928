<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Stations\DateOrder;
use Anthesis\Tables\DepthUnit;
use Anthesis\Tables\TemperatureUnit;
use App\Zones\Zone;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

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
            'to_station' => ['nullable', 'string', 'regex:/^(new|\d+)$/'],
            'station_name' => ['nullable', 'string', 'max:120'],
            'station_height_m' => ['nullable', 'integer', 'between:-430,8800'],
            'replace' => ['nullable', 'boolean'],
            'confirmed' => ['nullable', 'boolean'],
            'key' => ['nullable', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
            'places' => ['nullable', 'integer', 'between:-1,500'],
            'rain_unit' => ['nullable', new Enum(DepthUnit::class)],
            'snow_unit' => ['nullable', new Enum(DepthUnit::class)],
            'columns' => ['nullable', 'array:date,minimum,maximum,rain,snow'],
            'columns.date' => [
                'required_with:columns',
                'integer',
                'between:0,500',
                'different:columns.minimum',
                'different:columns.maximum',
            ],
            'columns.minimum' => ['required_with:columns', 'integer', 'between:0,500', 'different:columns.maximum'],
            'columns.maximum' => ['required_with:columns', 'integer', 'between:0,500'],
            'columns.rain' => ['nullable', 'integer', 'between:-1,500'],
            'columns.snow' => ['nullable', 'integer', 'between:-1,500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $tooLarge =
            'The file is larger than '.
            self::limit().
            ' MiB. A daily record of 150 years has about 2 MiB: bring one station’s daily table.';

        return [
            'columns.*.different' => 'Choose three different columns for date, minimum, and maximum.',
            'file.required' => 'Choose a station file first.',
            'file.file' => 'The file did not arrive complete. Upload it again.',
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

    /** The zone's station the file belongs to: the primary one if nothing is said, none yet for a new one. */
    public function toStation(): ?Station
    {
        /** @var Zone $zone */
        $zone = $this->route('zone');
        $asked = $this->validated('to_station');

        return match (true) {
            $asked === 'new' => null,
            $asked === null => $zone->station,
            default => Station::query()->where('zone_id', $zone->id)->find((int) $asked) ??
                throw ValidationException::withMessages(['to_station' => 'That station does not belong to this zone. Reload the page.']),
        };
    }

    /** @return array{name: string|null, height_m: int|null} about a new station */
    public function newStation(): array
    {
        $height = $this->validated('station_height_m');

        return ['name' => $this->validated('station_name'), 'height_m' => $height === null ? null : (int) $height];
    }

    /** @return string|null the sender's key for this request */
    public function key(): ?string
    {
        return $this->validated('key');
    }

    /** Whether a person said that a doubtful file is right. */
    public function isConfirmed(): bool
    {
        return (bool) $this->validated('confirmed');
    }

    /** @return Choices */
    public function choices(): array
    {
        $chosen = array_filter(
            $this->safe(['unit', 'date_order', 'station', 'replace', 'places', 'columns', 'rain_unit', 'snow_unit']),
            static fn (mixed $v): bool => $v !== null,
        );
        if (isset($chosen['replace'])) {
            $chosen['replace'] = (bool) $chosen['replace'];
        }
        if (isset($chosen['places'])) {
            $chosen['places'] = (int) $chosen['places'];
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
