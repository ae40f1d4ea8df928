<?php

declare(strict_types=1);

namespace App\Operations;

/** Told when today is another day than it was. */
final class DayTurned
{
}
