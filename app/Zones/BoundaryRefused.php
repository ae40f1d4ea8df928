<?php

declare(strict_types=1);

namespace App\Zones;

use RuntimeException;

/** A boundary that cannot be used; the message says where and why. */
final class BoundaryRefused extends RuntimeException
{
}
