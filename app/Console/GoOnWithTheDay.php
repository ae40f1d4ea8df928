<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\DemoClockMoved;
use Illuminate\Support\Facades\Artisan;

/** Does right away what a new day brings on its own, because somebody who moves the demonstration's clock does not wait for a scheduler. */
final class GoOnWithTheDay
{
    public function handle(DemoClockMoved $event): void
    {
        foreach (['anthesis:collect', 'anthesis:turn-day', 'anthesis:letters'] as $command) {
            Artisan::call($command);
        }
    }
}
