<?php

declare(strict_types=1);

namespace App\Console;

use App\Gardener\PublicSite;
use Illuminate\Console\Command;

/** Has every zone's "this week" lead to the week of today. */
class TurnWeek extends Command
{
    protected $signature = 'anthesis:turn-week';

    protected $description = 'Have “this week” of every zone lead to the week of today';

    public function handle(PublicSite $site): int
    {
        $site->turnWeek();

        return self::SUCCESS;
    }
}
