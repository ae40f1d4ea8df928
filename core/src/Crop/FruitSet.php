<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/**
 * The nights and days on which a crop sets fruit, °C; null means no limit.
 *
 * The limits come from extension tables; for the physiology, see Peet et al. 1998 (tomato), Erickson and Markhart 2002 (pepper), and
 * Monterroso and Wien 1990 (bean).
 */
final readonly class FruitSet
{
    /** Share of growth after which fruit sets, if the table does not say. */
    public const FROM_SHARE = 0.5;

    /** @param  float  $fromShare  share of growth after which setting days count */
    public function __construct(public ?float $nightLowC, public ?float $nightHighC, public ?float $dayHighC, public float $fromShare)
    {
    }
}
