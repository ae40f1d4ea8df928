<?php

declare(strict_types=1);

namespace App\Gardener;

/** Stands where a page would, if the components cannot make it. */
final readonly class CannotBeMade
{
    public function __construct(public string $reason)
    {
    }
}
