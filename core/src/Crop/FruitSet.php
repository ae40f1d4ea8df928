<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/**
 * The nights and days on which a crop sets fruit, °C; a null limit limits nothing.
 *
 * Limits are extension tables'; physiology: Peet et al. 1998 for tomato, Erickson and Markhart 2002 for pepper, Monterroso and Wien
 * 1990 for bean.
 */
final readonly class FruitSet
{
    /** Share of growth after which fruit sets, where the table says nothing. */
    public const FROM_SHARE = 0.5;

    /** @param  float  $fromShare  share of growth after which setting days count */
    public function __construct(public ?float $nightLowC, public ?float $nightHighC, public ?float $dayHighC, public float $fromShare)
    {
    }
}
