<?php

declare(strict_types=1);

namespace App\Log;

use App\Zones\DayTurned;

/** Follows what grows in a zone as soon as its day has begun, before anybody asks. */
final class FollowSowings
{
    public function handle(DayTurned $event): void
    {
        if (Sowing::query()->where('zone_id', $event->zoneId)->exists()) {
            FollowSowingsJob::dispatch($event->zoneId)->onQueue('sites');
        }
    }
}
