<?php

declare(strict_types=1);

namespace App\Log;

use RuntimeException;

/** An entry that the log cannot accept; nothing of it was saved. */
final class EntryRefused extends RuntimeException
{
    public function __construct(public readonly string $field, string $words)
    {
        parent::__construct($words);
    }
}
