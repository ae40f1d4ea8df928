<?php

declare(strict_types=1);

namespace App\Log;

use RuntimeException;

/** A line that cannot stand in the log; nothing of it was kept. */
final class EntryRefused extends RuntimeException
{
    public function __construct(public readonly string $field, string $words)
    {
        parent::__construct($words);
    }
}
