<?php

declare(strict_types=1);

namespace Anthesis\Climate;

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

    public function inWords(): string
    {
        return rtrim(rtrim(number_format(1 / $this->chance, 1), '0'), '.') === (string) (int) round(1 / $this->chance)
            ? '1 year in '.(int) round(1 / $this->chance)
            : round($this->chance * 100).' years in 100';
    }
}
