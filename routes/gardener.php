<?php

declare(strict_types=1);

use App\Http\Controllers\Gardener\CalendarController;
use App\Http\Controllers\Gardener\DownloadController;
use App\Http\Controllers\Gardener\HomeController;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

// What gardeners read: no account, no session.

Route::get('/', HomeController::class)->name('home');

Route::middleware(SubstituteBindings::class)->group(static function (): void {
    foreach (['' => 'gardener.', '/editions/{number}' => 'gardener.edition.'] as $edition => $name) {
        Route::prefix("/zones/{zone}{$edition}")->whereNumber('number')->group(static function () use ($name): void {
            Route::get('/', [CalendarController::class, 'calendar'])->name(rtrim($name, '.') === 'gardener' ? 'gardener.calendar' : 'gardener.edition');
            Route::get('/this-week', [CalendarController::class, 'thisWeek'])->name("{$name}this-week");
            Route::get('/weeks/{week}', [CalendarController::class, 'week'])->whereNumber('week')->name("{$name}week");
            Route::get('/crops/{crop}', [CalendarController::class, 'crop'])->name("{$name}crop");
            Route::get('/calendar.{format}', DownloadController::class)->whereIn('format', ['ics', 'csv', 'json'])->name("{$name}download");
        });
    }
});
