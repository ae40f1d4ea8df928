<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Languages\TranslationsChanged;
use App\Office\WaterRulesChanged;
use App\Zones\Zone;

/** Updates "this week" of every zone of the office after a new translation or new watering rules. */
final class RenderSeasons
{
    public function handle(TranslationsChanged|WaterRulesChanged $event): void
    {
        foreach (Zone::query()->has('currentEdition')->get() as $zone) {
            RenderSeasonJob::dispatch($zone->id)->afterCommit();
        }
    }
}
