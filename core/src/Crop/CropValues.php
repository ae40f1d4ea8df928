<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/**
 * The cells of a crop's row, read by its schema. Each method reads a column of its type.
 *
 * @internal to CropSchema
 */
final readonly class CropValues
{
    /** @var array<string, string|float|int|list<Caution>|null> */
    private array $values;

    /**
     * @param  array<string, string>  $cells  one for every column
     *
     * @throws CropRefused naming the first column, in the order of the table, that cannot be used
     */
    public function __construct(array $cells)
    {
        $this->values = array_map(
            static fn (CropColumn $column): string|float|int|array|null => $column->value($cells[$column->name]),
            CropSchema::columns(),
        );
    }

    public function text(string $column): string
    {
        return (string) $this->optionalText($column);
    }

    public function optionalText(string $column): ?string
    {
        $value = $this->values[$column];

        return is_string($value) ? $value : null;
    }

    public function number(string $column): float
    {
        return (float) $this->optional($column);
    }

    public function optional(string $column): ?float
    {
        $value = $this->values[$column];

        return is_float($value) ? $value : null;
    }

    public function count(string $column): int
    {
        return (int) $this->optionalCount($column);
    }

    public function optionalCount(string $column): ?int
    {
        $value = $this->values[$column];

        return is_int($value) ? $value : null;
    }

    /** @return list<Caution> */
    public function cautions(string $column): array
    {
        $value = $this->values[$column];

        return is_array($value) ? $value : [];
    }
}
