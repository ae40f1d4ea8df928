<?php

declare(strict_types=1);

namespace App\Editions;

/** Told when an edition that was in force is withdrawn: its pages say so from now on, and those of the one before it are read again. */
final readonly class EditionWithdrawn
{
    /** @param  int|null  $readInstead  id of the edition gardeners read now; the same where there is no other */
    public function __construct(public int $editionId, public ?int $readInstead)
    {
    }
}
