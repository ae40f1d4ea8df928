<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// What the application does by itself; `php artisan schedule:work` runs it (bin/start and deploy/ see to that).

Schedule::command('anthesis:resume')->everyFiveSeconds();
Schedule::command('anthesis:collect')->everyMinute();
Schedule::command('anthesis:turn-week')->everyMinute();
Schedule::command('anthesis:letters')->hourly();
Schedule::command('anthesis:prune')->hourly();
Schedule::command('anthesis:verify')->dailyAt('03:10');
Schedule::command('queue:prune-failed --hours=720')->daily();
