<?php

declare(strict_types=1);

namespace App\Console;

use App\Stations\CollectReports;
use Illuminate\Console\Command;

/** Takes what stations have reported into their records. */
class Collect extends Command
{
    protected $signature = 'anthesis:collect';

    protected $description = 'Take what stations have reported since their records end into them';

    public function handle(CollectReports $collect): int
    {
        $collect->execute();

        return self::SUCCESS;
    }
}
