<?php

declare(strict_types=1);

namespace App\Soil;

use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Database\UniqueConstraintViolationException;

/** Names a spot where soil is measured. Naming it twice changes nothing. */
final class SaveSpot
{
    public function execute(Zone $zone, string $name, Site $site): SoilSpot
    {
        try {
            return SoilSpot::query()->create(['zone_id' => $zone->id, 'name' => $name, 'site_id' => $site->id]);
        } catch (UniqueConstraintViolationException) {
            return SoilSpot::query()
                ->where(['zone_id' => $zone->id, 'name' => $name])
                ->firstOrFail();
        }
    }
}
