<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropRefused;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\Emergence;

/** Reads one crop from the short JSON the command line takes with --crop-file; docs/cli.md lists the keys. */
final class CropParameters
{
    /** Columns that a parameter file does not set. */
    private const CELLS = [
        'slug' => 'crop',
        'name' => 'Crop',
        'latin' => '-',
        'family' => '-',
        'kind' => 'cool',
        'start' => 'seed',
        'routes' => 'direct',
        'depth_cm' => '1',
        'spacing_cm' => '1',
        'row_cm' => '1',
        'per_square_foot' => '1',
        'feeder' => 'light',
    ];

    /** Days indoors, in place of the table's weeks; 0: never transplanted. */
    private const SEEDLING_DAYS = ['seedling_days', 0, 210];

    /** @throws FormatError naming the key */
    public static function fromJson(string $json): Crop
    {
        $keys = json_decode($json, true);
        if (! is_array($keys)) {
            throw FormatError::inFile('parameters.no-json');
        }
        // A complete worked case holds the parameters under their own key.
        $keys = is_array($keys['parameters'] ?? null) ? $keys['parameters'] : $keys;
        $cells = self::CELLS;
        foreach (CropSchema::columns() as $column) {
            if ($column->parameter !== null) {
                $cells[$column->name] = self::cell($keys, $column, $column->parameter);
            }
        }
        [$key, $least, $most] = self::SEEDLING_DAYS;
        $days = self::number($keys, $key, $least, $most) ?? throw self::lacks($key);
        if ($days > 0) {
            $cells = ['seedling_weeks' => (string) json_encode($days / 7), 'routes' => 'both'] + $cells;
        }
        try {
            return CropSchema::crop(self::emergence($keys) + self::stock($keys) + $cells);
        } catch (CropRefused $refused) {
            $key = CropSchema::columns()[$refused->column]->parameter ?? $refused->column;
            throw FormatError::inFile('parameters.refused', ['parameter' => $key, 'reason' => $refused->why]);
        }
    }

    /** @param  array<mixed>  $keys */
    private static function cell(array $keys, CropColumn $column, string $key): string
    {
        if ($column->type === CropColumn::CHOICE) {
            $choice = $keys[$key] ?? ($column->optional ? '' : null);

            return is_string($choice) && (in_array($choice, $column->choices, true) || ($choice === '' && $column->optional))
                ? $choice
                : throw FormatError::inFile('parameters.choice', ['parameter' => $key, 'choices' => implode(', ', $column->choices)]);
        }
        // If the crop has none, an optional one is null or 0.
        $number = self::number($keys, $key, $column->optional ? min(0, $column->least) : $column->least, $column->most);

        return match (true) {
            $number === null && $column->optional,
            $number == 0 && $column->optional && ! $column->zeroCounts => '',
            $column->optional => (string) json_encode($number),
            default => (string) json_encode($number ?? throw self::lacks($key)),
        };
    }

    /** @param  array<mixed>  $keys */
    private static function number(array $keys, string $key, float $least, float $most): ?float
    {
        $value = $keys[$key] ?? null;
        if ($value !== null && ((! is_int($value) && ! is_float($value)) || $value < $least || $value > $most)) {
            throw FormatError::inFile('parameters.number', [
                'parameter' => $key,
                'least' => $least,
                'most' => $most,
                'value' => (string) json_encode($value),
            ]);
        }

        return $value === null ? null : (float) $value;
    }

    private static function lacks(string $key): FormatError
    {
        return FormatError::inFile('parameters.missing', ['parameter' => $key]);
    }

    /**
     * @param  array<mixed>  $keys
     * @return array<string, string> cells by column; empty if it is available all year
     */
    private static function stock(array $keys): array
    {
        $days = $keys['stock'] ?? null;
        if ($days === null) {
            return [];
        }
        if (! is_array($days) || ! array_is_list($days) || count($days) !== 2 || ! is_int($days[0]) || ! is_int($days[1])) {
            throw FormatError::inFile('parameters.stock');
        }

        return ['stock_from_days' => (string) $days[0], 'stock_to_days' => (string) $days[1]];
    }

    /**
     * @param  array<mixed>  $keys
     * @return array<string, string> cells by column
     */
    private static function emergence(array $keys): array
    {
        $table = $keys['emerge'] ?? null;
        if (! is_array($table) || count($table) !== count(Emergence::TEMPERATURES)) {
            throw FormatError::inFile('parameters.emergence');
        }
        $cells = [];
        foreach (array_values($table) as $i => $value) {
            $column = CropSchema::columns()['em_'.Emergence::TEMPERATURES[$i]];
            if ($value !== null && ((! is_int($value) && ! is_float($value)) || $value < $column->least || $value > $column->most)) {
                throw FormatError::inFile('parameters.emergence-days', [
                    'value' => (string) json_encode($value),
                    'least' => $column->least,
                    'most' => $column->most,
                ]);
            }
            $cells[$column->name] = $value === null ? '' : (string) json_encode($value);
        }

        return $cells;
    }
}
