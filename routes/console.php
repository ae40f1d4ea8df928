<?php

declare(strict_types=1);

use App\Operations\Heartbeat;
use Illuminate\Support\Facades\Schedule;

// What the application does by itself; `php artisan schedule:work` runs it (bin/start and deploy/ see to that).

Schedule::command('anthesis:resume')->everyFiveSeconds();
Schedule::command('anthesis:collect')->everyMinute();
Schedule::command('anthesis:turn-day')->everyMinute();
Schedule::command('anthesis:seal-changes')->everyMinute();
// Hourly, so that a machine that slept through the morning still tells; each person once a day.
Schedule::command('anthesis:digests')->hourly()->between('6:00', '20:00');
Schedule::command('anthesis:letters')->hourly();
Schedule::command('anthesis:prune')->hourly();
Schedule::command('anthesis:verify')->dailyAt('03:10');
// As long as something is wrong it is looked at again and again, so that /up is well soon after it was mended.
Schedule::command('anthesis:verify')
    ->everyFiveMinutes()
    ->when(static fn (): bool => Heartbeat::query()->find(Heartbeat::VERIFICATION)?->sound === false);
Schedule::command('anthesis:rotate-logs')->hourly();
Schedule::command('queue:prune-failed --hours=720')->daily();
