<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use Anthesis\Words\Phrase;

/**
 * One column of the crop table: what its cells may hold, and where a person sees it.
 *
 * Its words are label() and `column.<name>.help`.
 */
final readonly class CropColumn
{
    public const TEXT = 'text';

    public const CHOICE = 'choice';

    public const NUMBER = 'number';

    /** A whole number of days. */
    public const COUNT = 'count';

    /** Codes of Caution separated by |. */
    public const CAUTIONS = 'cautions';

    /**
     * @param  string  $type  one of the constants
     * @param  string  $group  the part of the form it belongs to
     * @param  string|null  $unit  `days`, `celsius`, `weeks`, `hours`, `cm`, `share`, `plants`, `kg`, `seeds`, `part`, `stems`; null: none
     * @param  list<string>  $choices  for a CHOICE
     * @param  bool  $optional  whether its cells may be blank
     * @param  string|null  $default  the cell for rows saved or written before this column existed; null: one of the table's first columns,
     *   which a file must have
     * @param  string|null  $parameter  its key in the parameter file of the command line
     * @param  bool  $byVariety  whether a variety may have a cell of its own
     * @param  bool  $zeroCounts  whether 0 in a parameter file means the number 0; otherwise it means, like null, that the crop has none
     */
    public function __construct(
        public string $name,
        public string $type,
        public string $group,
        public ?string $unit = null,
        public float $least = 0,
        public float $most = 0,
        public array $choices = [],
        public bool $optional = false,
        public ?string $default = null,
        public ?string $parameter = null,
        public bool $byVariety = false,
        public bool $zeroCounts = false,
    ) {
    }

    /**
     * A column that came after the first ones: blank in rows saved or written before it, and it may stay blank.
     *
     * @param  list<string>  $choices
     */
    public static function added(
        string $name,
        string $type,
        string $group,
        ?string $unit = null,
        float $least = 0,
        float $most = 0,
        array $choices = [],
        ?string $parameter = null,
        bool $byVariety = false,
        bool $zeroCounts = false,
    ): self {
        return new self($name, $type, $group, $unit, $least, $most, $choices, true, '', $parameter, $byVariety, $zeroCounts);
    }

    /** Its name: `column.<name>.label` or, for days to emergence, the soil temperature they are counted at. */
    public function label(): Phrase
    {
        return preg_match('/^em_(\d+)$/', $this->name, $soil) === 1
            ? Phrase::of('column.em.label', ['celsius' => Phrase::celsius((float) $soil[1])])
            : Phrase::of("column.{$this->name}.label");
    }

    /**
     * @return string|float|int|list<Caution>|null the cell's value; null if it is optional and blank
     *
     * @throws CropRefused if the cell cannot be used
     */
    public function value(string $cell): string|float|int|array|null
    {
        return match ($this->type) {
            self::CAUTIONS => $this->cautions($cell),
            self::CHOICE => in_array($cell, $this->choices, true) || ($cell === '' && $this->optional)
                ? $cell
                : throw new CropRefused(
                    $this->name,
                    Phrase::of('error.cell.choice', ['cell' => $cell, 'choices' => implode(', ', $this->choices)]),
                ),
            self::NUMBER => $this->number($cell),
            self::COUNT => ($number = $this->number($cell)) === null ? null : (int) $number,
            default => $cell !== ''
                ? $cell
                : ($this->optional
                    ? null
                    : throw new CropRefused($this->name, Phrase::of('error.cell.blank'))),
        };
    }

    private function number(string $cell): ?float
    {
        if ($cell === '') {
            return $this->optional
                ? null
                : throw new CropRefused(
                    $this->name,
                    Phrase::of('error.cell.number-needed', ['least' => $this->least, 'most' => $this->most]),
                );
        }

        return is_numeric($cell) && (float) $cell >= $this->least && (float) $cell <= $this->most
            ? (float) $cell
            : throw new CropRefused(
                $this->name,
                Phrase::of('error.cell.number', ['cell' => $cell, 'least' => $this->least, 'most' => $this->most]),
            );
    }

    /** @return list<Caution> */
    private function cautions(string $cell): array
    {
        return array_map(
            fn (string $code): Caution => Caution::tryFrom($code) ??
                throw new CropRefused(
                    $this->name,
                    Phrase::of('error.cell.caution', [
                        'cell' => $code,
                        'choices' => implode(', ', array_column(Caution::cases(), 'value')),
                    ]),
                ),
            array_values(array_filter(explode('|', $cell))),
        );
    }
}
