<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\ReleaseEditions;
use App\Gardener\PublicSite;
use App\Gardener\RenderSeasonJob;
use App\Gardener\SeasonPage;
use Illuminate\Console\Command;

/** Has editions whose day has come made, and every zone's "this week" lead to the week of today, and say how the season runs. */
class TurnWeek extends Command
{
    protected $signature = 'anthesis:turn-week';

    protected $description = 'Have “this week” of every zone lead to the week of today, and say how the season runs';

    public function handle(PublicSite $site, SeasonPage $season, ReleaseEditions $release): int
    {
        $release->execute();
        $site->turnWeek();
        foreach (PublicSite::zones()->load(['currentEdition', 'currentComputation'])->filter($season->isBehind(...)) as $zone) {
            RenderSeasonJob::dispatch($zone->id)->onQueue('sites');
        }

        return self::SUCCESS;
    }
}
