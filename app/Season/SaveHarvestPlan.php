<?php

declare(strict_types=1);

namespace App\Season;

use App\People\StaleEdit;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/**
 * Saves what a zone's gardens should produce.
 *
 * @phpstan-import-type Needs from HarvestPlan
 */
final class SaveHarvestPlan
{
    /**
     * @param  Needs  $needs
     *
     * @throws StaleEdit if somebody else has changed it in the meantime
     */
    public function execute(Zone $zone, User $user, array $needs, int $version): HarvestPlan
    {
        return DB::transaction(static function () use ($zone, $user, $needs, $version): HarvestPlan {
            Zone::query()->whereKey($zone->id)->lockForUpdate()->first();
            $plan = HarvestPlan::query()->firstOrCreate(['zone_id' => $zone->id]);
            $plan->editedAt($version, $user, static fn (HarvestPlan $p) => $p->update(['needs' => $needs]));

            return $plan;
        });
    }
}
