<?php

declare(strict_types=1);

namespace App\Editions;

/** An edition is written, and in force once its pages are made; whoever makes them listens. */
final readonly class EditionFrozen
{
    public function __construct(public int $editionId)
    {
    }
}
