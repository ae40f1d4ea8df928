<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Editions\EditionFrozen;

/** Has the pages made of an edition that was frozen. */
final class RenderFrozenEdition
{
    public function handle(EditionFrozen $event): void
    {
        RenderEditionJob::dispatch($event->editionId)->afterCommit();
    }
}
