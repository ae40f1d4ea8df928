<?php

declare(strict_types=1);

namespace App\Advisories;

/** Told when what the pages of a zone say of its season is no longer what they said. */
final readonly class AdvisoriesChanged
{
    public function __construct(public int $zoneId)
    {
    }
}
