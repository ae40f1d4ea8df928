<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use InvalidArgumentException;

/** A crop somebody would like to fit in a season: in any of its ways of growing, with a length of bed. */
final readonly class Wish
{
    /**
     * @param  string  $key  identifies it
     * @param  list<Candidate>  $candidates  the ways it may be grown
     * @param  float  $metres  length of a bed
     *
     * @throws InvalidArgumentException if nothing is asked for
     */
    public function __construct(public string $key, public array $candidates, public float $metres)
    {
        if ($candidates === [] || $metres <= 0.0) {
            throw new InvalidArgumentException('A wish is for something, and for some of it.');
        }
    }
}
