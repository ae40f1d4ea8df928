<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Languages\TranslationsChanged;

/** Has "this week" of every zone say what was translated anew. */
final class RenderSeasons
{
    public function handle(TranslationsChanged $event): void
    {
        foreach (PublicSite::zones() as $zone) {
            RenderSeasonJob::dispatch($zone->id)->afterCommit();
        }
    }
}
