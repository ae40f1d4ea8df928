<?php

declare(strict_types=1);

namespace App\Zones;

/** Told when zones begin or end elsewhere than they did. */
final readonly class BoundariesChanged
{
}
