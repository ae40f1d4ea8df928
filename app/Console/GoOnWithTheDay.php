<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\DemoClockMoved;
use Illuminate\Support\Facades\Artisan;

/** Does at once what a new day brings by itself: whoever moves the demonstration's clock waits for no scheduler. */
final class GoOnWithTheDay
{
    public function handle(DemoClockMoved $event): void
    {
        foreach (['anthesis:collect', 'anthesis:turn-day', 'anthesis:letters'] as $command) {
            Artisan::call($command);
        }
    }
}
