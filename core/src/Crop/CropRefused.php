<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use DomainException;

/** A cell of a crop's row that cannot be taken. */
final class CropRefused extends DomainException
{
    /** @param  string  $reason  a clause, without a full stop */
    public function __construct(public readonly string $column, public readonly string $reason)
    {
        parent::__construct("{$column}: {$reason}");
    }
}
