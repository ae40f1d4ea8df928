<?php

declare(strict_types=1);

use App\Console\HealthController;
use App\Gardener\CalendarController;
use App\Gardener\DownloadController;
use App\Gardener\HomeController;
use App\Gardener\NewsController;
use App\Gardener\PublicSite;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

// What gardeners read: no account, no session.

Route::get('/', HomeController::class)->name('home');
Route::get('/sitemap.xml', static fn () => response(PublicSite::read('sitemap.xml') ?? abort(404))->header('Content-Type', 'application/xml'));
Route::get('/up', HealthController::class)->name('up');

Route::middleware(SubstituteBindings::class)->group(static function (): void {
    Route::get('/zones/{zone}/news.atom', NewsController::class)->name('gardener.news');
    foreach (['' => 'gardener.', '/editions/{number}' => 'gardener.edition.'] as $edition => $name) {
        Route::prefix("/zones/{zone}{$edition}")->where(['number' => '[0-9]{1,9}', 'week' => '[0-9]{1,4}'])->group(static function () use ($name): void {
            Route::get('/', [CalendarController::class, 'calendar'])->name(rtrim($name, '.') === 'gardener' ? 'gardener.calendar' : 'gardener.edition');
            Route::get('/this-week', [CalendarController::class, 'thisWeek'])->name("{$name}this-week");
            Route::get('/weeks/{week}', [CalendarController::class, 'week'])->name("{$name}week");
            Route::get('/crops/{crop}', [CalendarController::class, 'crop'])->name("{$name}crop");
            Route::get('/calendar.{format}', DownloadController::class)->whereIn('format', ['ics', 'csv', 'json'])->name("{$name}download");
        });
    }
});
