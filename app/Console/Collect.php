<?php

declare(strict_types=1);

namespace App\Console;

use App\Stations\CollectReports;
use App\Stations\TakeDroppedFiles;
use Illuminate\Console\Command;

/** Imports what stations have reported, and the files that were dropped for them. */
class Collect extends Command
{
    protected $signature = 'anthesis:collect';

    protected $description = 'Import what stations have reported since their records end';

    public function handle(CollectReports $collect, TakeDroppedFiles $dropped): int
    {
        $collect->execute();
        $dropped->execute();

        return self::SUCCESS;
    }
}
