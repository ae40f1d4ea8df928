<?php

declare(strict_types=1);

namespace App\Operations;

/** The demonstration has another date. */
final class DemoClockMoved
{
}
