<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;

/** How many plants a row or a square takes, and how much seed; docs/method.md, "Fitting it into beds". */
final readonly class SeedNeed
{
    /** m² of the 30 cm square that per_square_foot counts plants in */
    private const SQUARE = 0.09;

    private const CM = 100.0;

    /** Spare seedlings for each plant of a sowing that may fail as a whole; one in ten does not take. */
    private const SPARES = 1.1;

    /**
     * @param  float|null  $seeds  null: not counted in seeds
     * @param  float|null  $grams  null: not weighed
     */
    private function __construct(public float $plants, public ?float $seeds, public ?float $grams)
    {
    }

    /** @param  float  $metres  length of row */
    public static function ofRows(Crop $crop, float $metres, int $rows): self
    {
        return self::of($crop, self::plants($crop, $metres, $rows));
    }

    /** @param  float  $metres  length of row of the sowing they may replace */
    public static function ofSpares(Crop $crop, float $metres, int $rows): self
    {
        return self::of($crop, self::SPARES * self::plants($crop, $metres, $rows));
    }

    /**
     * @param  float  $area  m²
     * @return self|null null if the number of plants in a square is not known
     */
    public static function ofArea(Crop $crop, float $area): ?self
    {
        $each = $crop->spacing->perSquareFoot;

        return $each === null ? null : self::of($crop, ($area * $each) / self::SQUARE);
    }

    private static function plants(Crop $crop, float $metres, int $rows): float
    {
        return ($metres / ($crop->spacing->spacingCm / self::CM)) * $rows;
    }

    private static function of(Crop $crop, float $plants): self
    {
        $seed = $crop->seed;
        $seeds = $seed?->germination === null ? null : ($plants * $seed->perStation) / $seed->germination;

        return new self($plants, $seeds, $seeds === null || $seed->perGram === null ? null : $seeds / $seed->perGram);
    }
}
