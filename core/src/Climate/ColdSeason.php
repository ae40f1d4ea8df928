<?php

declare(strict_types=1);

namespace Anthesis\Climate;

/**
 * The first and last freeze of one cold season at one threshold.
 *
 * `season` is the year a northern cold season ends in, or a southern one lies in. Offsets are days from the season's first day, null if the
 * season had no freeze.
 */
final readonly class ColdSeason
{
    public function __construct(public int $season, public ?int $first, public ?int $last, public float $lowestMinimum)
    {
    }
}
