<?php

declare(strict_types=1);

namespace App\Editions;

/** An edition was written, and becomes current once its pages are made; whoever makes them listens for this. */
final readonly class EditionFrozen
{
    public function __construct(public int $editionId)
    {
    }
}
