<?php

declare(strict_types=1);

use App\Console\HealthController;
use App\Gardener\CalendarController;
use App\Gardener\DownloadController;
use App\Gardener\EditionPages;
use App\Gardener\EmbedController;
use App\Gardener\FindController;
use App\Gardener\FrontPageController;
use App\Gardener\HomeController;
use App\Gardener\NewsController;
use App\Gardener\OfficePageController;
use App\Gardener\OfficePages;
use App\Gardener\OpenData;
use App\Gardener\OpenDataController;
use App\Gardener\OwnController;
use App\Gardener\PaperController;
use App\Gardener\PublicSite;
use App\Gardener\ReadAs;
use App\Gardener\Reading;
use App\Gardener\SearchController;
use App\Ground\TaskFeedController;
use App\Letters\LetterController;
use App\Operations\ReadsEveryOffice;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

// What gardeners read: no account, no session. Every address once per reading: /zones/…, /es/zones/…, /en-f/zones/….

Route::get(
    '/sitemap.xml',
    static fn () => response(PublicSite::read('sitemap.xml') ?? abort(404))->header('Content-Type', 'application/xml'),
);
Route::get('/tasks/{token}/{zone}.ics', [TaskFeedController::class, 'show'])
    ->where('token', '[A-Za-z0-9]{48}')
    ->middleware(['throttle:pages', ReadsEveryOffice::class, SubstituteBindings::class]);
Route::get('/up', HealthController::class)->middleware(ReadsEveryOffice::class)->name('up');

Route::prefix('/open/'.OpenData::VERSION)
    ->middleware([ReadsEveryOffice::class, SubstituteBindings::class])
    ->group(static function (): void {
        Route::get('/index.json', [OpenDataController::class, 'index']);
        Route::get('/offices/{office:slug}/index.json', [OpenDataController::class, 'office']);
        Route::get('/zones.geojson', [OpenDataController::class, 'boundaries']);
        Route::get('/check-edition.txt', [OpenDataController::class, 'check']);
        Route::get('/zones/{zone}/{table}.{format}', [OpenDataController::class, 'zoneTable'])
            ->whereIn('table', OpenData::ZONE_TABLES)
            ->whereIn('format', ['json', 'csv']);
        Route::get('/{table}.{format}', [OpenDataController::class, 'table'])
            ->whereIn('table', OpenData::TABLES)
            ->whereIn('format', ['json', 'csv']);
    });

foreach (Reading::served() as $reading) {
    // An edition's own document is in no language.
    $formats = $reading->name() === '' ? PublicSite::DOWNLOADS : PublicSite::TOLD;
    Route::prefix($reading->prefix())
        ->middleware([ReadAs::class.":{$reading->name()}", ReadsEveryOffice::class, SubstituteBindings::class])
        ->group(static function () use ($formats): void {
            Route::get('/', HomeController::class);
            Route::get('/search', SearchController::class)->middleware('throttle:pages');
            Route::get('/find', FindController::class)->middleware('throttle:pages');
            Route::get('/offices/{office}', FrontPageController::class)->middleware('throttle:pages');
            Route::get('/{which}', OfficePageController::class)->whereIn('which', OfficePages::ALL)->middleware('throttle:pages');
            Route::get('/zones/{zone}/embed', EmbedController::class)->middleware('throttle:pages');
            Route::post('/zones/{zone}/letter', [LetterController::class, 'ask'])->middleware('throttle:letters');
            Route::get('/letters/{token}/{what}', [LetterController::class, 'offer'])
                ->where('token', '[A-Za-z0-9]{48}')
                ->whereIn('what', ['confirm', 'leave'])
                ->middleware('throttle:letter-links');
            Route::post('/letters/{token}/{what}', [LetterController::class, 'carryOut'])
                ->where('token', '[A-Za-z0-9]{48}')
                ->whereIn('what', ['confirm', 'leave'])
                ->middleware('throttle:letter-links');
            Route::get('/zones/{zone}/news.atom', NewsController::class);
            foreach (['', '/editions/{number}'] as $edition) {
                Route::prefix("/zones/{zone}{$edition}")
                    ->where(['number' => '[0-9]{1,9}', 'week' => '[0-9]{1,4}'])
                    ->group(static function () use ($formats): void {
                        Route::get('/', [CalendarController::class, 'calendar']);
                        Route::get('/this-week', [CalendarController::class, 'thisWeek']);
                        Route::get('/weeks/{week}', [CalendarController::class, 'week']);
                        Route::get('/crops/{crop}', [CalendarController::class, 'crop']);
                        Route::get('/mine', OwnController::class)->middleware('throttle:pages');
                        Route::get('/paper/{sheet}', [PaperController::class, 'page'])
                            ->whereIn('sheet', EditionPages::SHEETS)
                            ->middleware('throttle:pages');
                        Route::get('/paper/{sheet}.pdf', [PaperController::class, 'pdf'])
                            ->whereIn('sheet', EditionPages::SHEETS)
                            ->middleware('throttle:paper');
                        Route::get('/calendar.{format}', DownloadController::class)->whereIn('format', $formats);
                    });
            }
        });
}
