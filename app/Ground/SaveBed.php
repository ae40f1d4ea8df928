<?php

declare(strict_types=1);

namespace App\Ground;

use App\Log\Bed;
use App\Sites\Site;
use App\Zones\Zone;

/** Makes a bed, or says what it measures and how it lies. */
final class SaveBed
{
    public function create(Zone $zone, string $garden, string $name, Site $site, ?float $length, ?float $width): Bed
    {
        return Bed::query()->create(['zone_id' => $zone->id, 'garden' => $garden, 'name' => $name, 'site_id' => $site->id, 'length_m' => $length, 'width_m' => $width]);
    }

    public function update(Bed $bed, string $garden, string $name, Site $site, ?float $length, ?float $width): void
    {
        $bed->update(['garden' => $garden, 'name' => $name, 'site_id' => $site->id, 'length_m' => $length, 'width_m' => $width]);
    }
}
