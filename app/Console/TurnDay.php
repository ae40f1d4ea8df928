<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\ReleaseEditions;
use App\Gardener\PublicSite;
use App\Gardener\RenderSeasonJob;
use App\Gardener\SeasonPage;
use App\Zones\TurnDays;
use Illuminate\Console\Command;

/**
 * Moves on to the day that has begun, zone by zone; publishes editions whose date has come; and makes every zone's "this week" lead to
 * today's week.
 */
class TurnDay extends Command
{
    protected $signature = 'anthesis:turn-day';

    protected $description = 'Move each zone on to the day that has begun there, and update “this week”';

    public function handle(TurnDays $days, PublicSite $site, SeasonPage $season, ReleaseEditions $release): int
    {
        $days->execute();
        $release->execute();
        $site->turnWeek();
        foreach (
            PublicSite::zones()
                ->load(['currentEdition', 'currentComputation'])
                ->filter($season->isBehind(...)) as $zone
        ) {
            RenderSeasonJob::dispatch($zone->id)->onQueue('sites');
        }

        return self::SUCCESS;
    }
}
