<?php

declare(strict_types=1);

namespace App\Advisories;

/** Sent when what a zone's pages say about its season has changed. */
final readonly class AdvisoriesChanged
{
    public function __construct(public int $zoneId)
    {
    }
}
