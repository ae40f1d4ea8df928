<?php

declare(strict_types=1);

namespace Anthesis\Climate;

/** Mean of the cold seasons' lowest minima, and the conventional half-zone it falls in (1a from −51.1 °C, 2.78 °C each). */
final readonly class Hardiness
{
    private const COLDEST = -51.1;

    private const HALF_ZONE = 2.78;

    private function __construct(public float $meanExtremeMinimum, public string $halfZone)
    {
    }

    /** @param  list<ColdSeason>  $seasons */
    public static function of(array $seasons): ?self
    {
        if ($seasons === []) {
            return null;
        }
        $mean = array_sum(array_map(static fn (ColdSeason $s): float => $s->lowestMinimum, $seasons)) / count($seasons);
        $step = max(0, min(25, (int) floor(($mean - self::COLDEST) / self::HALF_ZONE)));

        return new self($mean, intdiv($step, 2) + 1 .($step % 2 === 0 ? 'a' : 'b'));
    }
}
