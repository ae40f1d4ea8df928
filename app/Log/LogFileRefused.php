<?php

declare(strict_types=1);

namespace App\Log;

use RuntimeException;

/** A table in which not every row can be accepted; nothing of it was saved. */
final class LogFileRefused extends RuntimeException
{
    /** @param  list<string>  $rows  what is wrong, one sentence per row */
    public function __construct(public readonly array $rows)
    {
        parent::__construct($rows[0] ?? 'The table cannot be read.');
    }
}
