<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Record\Day;

/** The day the application takes for today: the configured one, else the real one. */
final class Today
{
    public static function day(): Day
    {
        $configured = config('anthesis.today');

        return Day::fromIso(is_string($configured) && $configured !== '' ? $configured : date('Y-m-d'));
    }
}
