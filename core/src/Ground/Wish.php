<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use InvalidArgumentException;

/** What somebody would like to grow in a season: a crop in any of its ways, so many meters of it. */
final readonly class Wish
{
    /**
     * @param  string  $key  what it is known by
     * @param  list<Candidate>  $candidates  the ways it may be grown
     * @param  float  $metres  of a bed
     *
     * @throws InvalidArgumentException when nothing is wished for
     */
    public function __construct(public string $key, public array $candidates, public float $metres)
    {
        if ($candidates === [] || $metres <= 0.0) {
            throw new InvalidArgumentException('A wish is for something, and for some of it.');
        }
    }
}
