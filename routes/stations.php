<?php

declare(strict_types=1);

use App\Operations\ReadsEveryOffice;
use App\Stations\StationReportController;
use Illuminate\Support\Facades\Route;

// What stations send on their own: no account and no session, only a device's token.

Route::post('/api/station-reports', [StationReportController::class, 'store'])
    ->middleware(['throttle:reports', ReadsEveryOffice::class])
    ->name('station-reports');
