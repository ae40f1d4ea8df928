<?php

declare(strict_types=1);

namespace App\Results;

use App\Zones\ComputationQueued;

/** Has a worker compute a zone whose computation was queued. */
final class StartComputing
{
    public function handle(ComputationQueued $event): void
    {
        ComputeZoneJob::dispatch($event->zoneId)->onQueue($event->queue)->afterCommit();
    }
}
