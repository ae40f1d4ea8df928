<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Advisories\AdvisoriesChanged;

/** Makes "this week" of a zone show its current advisories. */
final class RenderAdvisories
{
    public function handle(AdvisoriesChanged $event): void
    {
        RenderSeasonJob::dispatch($event->zoneId)->afterCommit();
    }
}
