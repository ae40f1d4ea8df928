<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Advisories\AdvisoriesChanged;

/** Has "this week" of a zone say what gardeners are told there now. */
final class RenderAdvisories
{
    public function handle(AdvisoriesChanged $event): void
    {
        RenderSeasonJob::dispatch($event->zoneId)->afterCommit();
    }
}
