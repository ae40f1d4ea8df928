<?php

declare(strict_types=1);

namespace Anthesis\Tables;

use Anthesis\Words\Phrase;

/** A row of a station file that could not be read: its line and the reason. */
final readonly class RefusedRow
{
    public function __construct(public int $line, public string $column, public Phrase $reason)
    {
    }
}
