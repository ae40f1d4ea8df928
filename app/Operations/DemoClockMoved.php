<?php

declare(strict_types=1);

namespace App\Operations;

/** The demonstration stands on another day. */
final class DemoClockMoved
{
}
