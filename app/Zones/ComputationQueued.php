<?php

declare(strict_types=1);

namespace App\Zones;

/** A zone is waiting to be computed; whoever computes listens for this. */
final readonly class ComputationQueued
{
    /** @param  string  $queue  `default`; `sites` for what a single person looks at */
    public function __construct(public int $zoneId, public string $queue)
    {
    }
}
