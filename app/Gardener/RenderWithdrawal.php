<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Editions\EditionWithdrawn;

/** Makes the pages of a withdrawn edition say so, and makes those of the one read instead again. */
final class RenderWithdrawal
{
    public function handle(EditionWithdrawn $event): void
    {
        foreach (array_unique(array_filter([$event->editionId, $event->readInstead])) as $edition) {
            RenderEditionJob::dispatch($edition)->afterCommit();
        }
    }
}
