<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** Weeks indoors before transplanting. */
final readonly class SeedlingWeeks
{
    public function __construct(public float $least, public float $usual, public float $most)
    {
    }

    /** @return int days indoors, typically */
    public function days(): int
    {
        return (int) round(7 * $this->usual);
    }
}
