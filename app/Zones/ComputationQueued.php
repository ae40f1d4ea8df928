<?php

declare(strict_types=1);

namespace App\Zones;

/** A zone waits to be computed; whoever computes listens. */
final readonly class ComputationQueued
{
    /** @param  string  $queue  `default`; `sites` for what one person looks at */
    public function __construct(public int $zoneId, public string $queue)
    {
    }
}
