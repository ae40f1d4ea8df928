<?php

declare(strict_types=1);

use App\Console\HealthController;
use App\Gardener\CalendarController;
use App\Gardener\DownloadController;
use App\Gardener\HomeController;
use App\Gardener\NewsController;
use App\Gardener\PublicSite;
use App\Gardener\ReadAs;
use App\Gardener\Reading;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

// What gardeners read: no account, no session. Every address once for each reading: /zones/…, /es/zones/…, /en-f/zones/….

Route::get('/sitemap.xml', static fn () => response(PublicSite::read('sitemap.xml') ?? abort(404))->header('Content-Type', 'application/xml'));
Route::get('/up', HealthController::class)->name('up');

foreach (Reading::served() as $reading) {
    Route::prefix($reading->prefix())->middleware([ReadAs::class.":{$reading->name()}", SubstituteBindings::class])->group(static function (): void {
        Route::get('/', HomeController::class);
        Route::get('/zones/{zone}/news.atom', NewsController::class);
        foreach (['', '/editions/{number}'] as $edition) {
            Route::prefix("/zones/{zone}{$edition}")->where(['number' => '[0-9]{1,9}', 'week' => '[0-9]{1,4}'])->group(static function (): void {
                Route::get('/', [CalendarController::class, 'calendar']);
                Route::get('/this-week', [CalendarController::class, 'thisWeek']);
                Route::get('/weeks/{week}', [CalendarController::class, 'week']);
                Route::get('/crops/{crop}', [CalendarController::class, 'crop']);
                Route::get('/calendar.{format}', DownloadController::class)->whereIn('format', PublicSite::DOWNLOADS);
            });
        }
    });
}
