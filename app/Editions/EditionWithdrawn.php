<?php

declare(strict_types=1);

namespace App\Editions;

/** Sent when a current edition is withdrawn: from now on its pages say so, and readers get the one before it. */
final readonly class EditionWithdrawn
{
    /** @param  int|null  $readInstead  id of the edition gardeners read now; the same one if there is no other */
    public function __construct(public int $editionId, public ?int $readInstead)
    {
    }
}
