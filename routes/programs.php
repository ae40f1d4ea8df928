<?php

declare(strict_types=1);

use App\Desk\SayAsChosen;
use App\Log\LogController;
use App\People\OfficeOfPerson;
use App\People\Scope;
use App\Season\TodayController;
use App\Soil\SoilController;
use App\Windows\WindowsController;
use App\Zones\ZoneController;
use Illuminate\Support\Facades\Route;

// People's programs, by token and without a session. What each may do is listed here and nowhere else. The answers are the desk's.
Route::prefix('api/programs')
    ->middleware(['auth:sanctum', 'throttle:programs', OfficeOfPerson::class, SayAsChosen::class, 'bindings'])
    ->group(static function (): void {
        Route::middleware('ability:'.Scope::ReadZones->value)->group(static function (): void {
            Route::get('zones', [ZoneController::class, 'index']);
            Route::get('zones/{zone}', [ZoneController::class, 'show']);
            Route::get('zones/{zone}/today', [TodayController::class, 'show']);
            Route::get('zones/{zone}/windows', [WindowsController::class, 'index']);
            Route::get('zones/{zone}/windows/{crop}', [WindowsController::class, 'show']);
        });
        Route::post('zones/{zone}/log-entries', [LogController::class, 'store'])->middleware('ability:'.Scope::WriteLog->value);
        Route::post('zones/{zone}/soil-readings', [SoilController::class, 'storeReading'])->middleware(
            'ability:'.Scope::ReportReadings->value,
        );
    });
