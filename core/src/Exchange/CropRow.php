<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

/**
 * One row of a crop table while it is being read; every refusal names line and column.
 *
 * @internal
 */
final readonly class CropRow
{
    /** @param  array<string, string>  $cells by column */
    public function __construct(private int $line, private array $cells)
    {
    }

    public function cell(string $column): string
    {
        return $this->cells[$column];
    }

    public function text(string $column): string
    {
        return $this->cells[$column] !== '' ? $this->cells[$column] : throw $this->refuse($column, 'this must not be blank');
    }

    public function matching(string $column, string $pattern, string $inWords): string
    {
        return preg_match($pattern, $this->cells[$column]) === 1
            ? $this->cells[$column]
            : throw $this->refuse($column, "“{$this->cells[$column]}” should be made of {$inWords}");
    }

    /** @param  list<string>  $choices */
    public function oneOf(string $column, array $choices): string
    {
        return in_array($this->cells[$column], $choices, true)
            ? $this->cells[$column]
            : throw $this->refuse($column, "“{$this->cells[$column]}” should be one of: ".implode(', ', $choices));
    }

    public function number(string $column, float $least, float $most): float
    {
        return $this->optional($column, $least, $most) ?? throw $this->refuse($column, "a number from {$least} to {$most} is needed");
    }

    public function optional(string $column, float $least, float $most): ?float
    {
        $cell = $this->cells[$column];
        if ($cell === '') {
            return null;
        }
        if (! is_numeric($cell) || (float) $cell < $least || (float) $cell > $most) {
            throw $this->refuse($column, "“{$cell}” is not a number from {$least} to {$most}");
        }

        return (float) $cell;
    }

    public function optionalDays(string $column, int $least = 1): ?int
    {
        $days = $this->optional($column, $least, 365);

        return $days === null ? null : (int) $days;
    }

    public function refuse(string $column, string $why): FormatError
    {
        return FormatError::at($this->line, "{$why}.", $column);
    }
}
