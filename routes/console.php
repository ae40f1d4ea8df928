<?php

declare(strict_types=1);

use App\Operations\Heartbeat;
use Illuminate\Console\Scheduling\CallbackEvent;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schedule;

// What the application does on its own; `php artisan schedule:work` runs it (started by bin/start or the units in deploy/).

// What is short and frequent runs in the scheduler's own process: starting one for each would take a tenth of a processor, all day.
$here = static fn (string $command): CallbackEvent => Schedule::call(static fn (): int => Artisan::call($command))->name($command);
$here('anthesis:resume')->everyFiveSeconds();
$here('anthesis:turn-day')->everyMinute();
$here('anthesis:seal-changes')->everyMinute();
// It reads whole files, and what it comes to must not end the others.
Schedule::command('anthesis:collect')->everyMinute();
// Hourly, so a machine that slept through the morning still sends it; each person gets it once a day.
Schedule::command('anthesis:digests')->hourly()->between('6:00', '20:00');
Schedule::command('anthesis:letters')->hourly();
Schedule::command('anthesis:prune')->hourly();
Schedule::command('anthesis:verify')->dailyAt('03:10');
// As long as something is wrong, it is checked again and again, so /up recovers soon after a repair.
Schedule::command('anthesis:verify')
    ->everyFiveMinutes()
    ->when(static fn (): bool => Heartbeat::query()->find(Heartbeat::VERIFICATION)?->sound === false);
Schedule::command('anthesis:rotate-logs')->hourly();
Schedule::command('queue:prune-failed --hours=720')->daily();
