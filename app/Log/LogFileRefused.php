<?php

declare(strict_types=1);

namespace App\Log;

use RuntimeException;

/** A table of which not every row can stand; nothing of it was kept. */
final class LogFileRefused extends RuntimeException
{
    /** @param  list<string>  $rows  what is wrong, a row a sentence */
    public function __construct(public readonly array $rows)
    {
        parent::__construct($rows[0] ?? 'The table cannot be read.');
    }
}
