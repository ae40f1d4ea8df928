<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Words\Phrase;
use InvalidArgumentException;

/** The chance, 0…1, that a freeze comes after (or before) a date. */
final readonly class FreezeRisk
{
    private function __construct(public float $chance)
    {
    }

    /** @throws InvalidArgumentException unless 0 < chance < 1 */
    public static function of(float $chance): self
    {
        if (! ($chance > 0.0 && $chance < 1.0)) {
            throw new InvalidArgumentException("A risk lies between 0 and 1; {$chance} does not.");
        }

        return new self($chance);
    }

    public static function oneYearIn(int $years): self
    {
        return self::of(1 / $years);
    }

    /** As "1 year in 10", if it is one in a whole number. */
    public function phrase(): Phrase
    {
        $years = 1 / $this->chance;

        return abs($years - round($years)) < 0.05
            ? Phrase::of('risk.one-in', ['years' => (int) round($years)])
            : Phrase::of('risk.of-hundred', ['years' => (int) round($this->chance * 100)]);
    }
}
