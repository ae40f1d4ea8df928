<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Languages\TranslationsChanged;
use App\Office\WaterRulesChanged;

/** Has "this week" of every zone say what was translated anew, or what rules of watering hold. */
final class RenderSeasons
{
    public function handle(TranslationsChanged|WaterRulesChanged $event): void
    {
        foreach (PublicSite::zones() as $zone) {
            RenderSeasonJob::dispatch($zone->id)->afterCommit();
        }
    }
}
