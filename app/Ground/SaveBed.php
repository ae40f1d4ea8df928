<?php

declare(strict_types=1);

namespace App\Ground;

use App\Log\Bed;
use App\People\Change;
use App\People\StaleEdit;
use App\People\User;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Adds a bed, or changes its size and site. */
final class SaveBed
{
    public function create(Zone $zone, ?User $user, string $garden, string $name, Site $site, ?float $length, ?float $width): Bed
    {
        return DB::transaction(static function () use ($zone, $user, $garden, $name, $site, $length, $width): Bed {
            $bed = Bed::query()
                ->create([
                    'zone_id' => $zone->id,
                    'garden' => $garden,
                    'name' => $name,
                    'site_id' => $site->id,
                    'length_m' => $length,
                    'width_m' => $width,
                ])
                ->refresh();
            Change::record('added', $bed, $user, [], $bed->editedFields());

            return $bed;
        });
    }

    /** @throws StaleEdit if the bed was edited since that version */
    public function update(
        Bed $bed,
        int $version,
        User $user,
        string $garden,
        string $name,
        Site $site,
        ?float $length,
        ?float $width,
    ): void {
        $bed->editedAt(
            $version,
            $user,
            static fn (Bed $b) => $b->update([
                'garden' => $garden,
                'name' => $name,
                'site_id' => $site->id,
                'length_m' => $length,
                'width_m' => $width,
            ]),
        );
    }
}
