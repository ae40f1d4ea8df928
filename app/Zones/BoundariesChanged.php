<?php

declare(strict_types=1);

namespace App\Zones;

/** Sent when boundaries of zones have changed. */
final readonly class BoundariesChanged
{
}
