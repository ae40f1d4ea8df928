<?php

declare(strict_types=1);

use App\Advisories\AdvisoryController;
use App\Crops\CropController;
use App\Crops\ShippedCropController;
use App\Crops\VarietyController;
use App\Cues\CueController;
use App\Desk\AttentionController;
use App\Desk\DemoClockController;
use App\Desk\ProfileController;
use App\Desk\SayAsChosen;
use App\Desk\SessionController;
use App\Editions\EditionController;
use App\Gardener\LabelController;
use App\Ground\BedYieldController;
use App\Ground\GroundController;
use App\Ground\TaskFeedController;
use App\Languages\TranslationController;
use App\Letters\OutboxController;
use App\Log\LogController;
use App\Office\OfficeController;
use App\Operations\ReadsEveryOffice;
use App\People\AccountController;
use App\People\InvitationController;
use App\People\PasswordController;
use App\People\PeopleController;
use App\People\TokenController;
use App\People\TrailController;
use App\Results\ClimateController;
use App\Results\ZoneComparisonController;
use App\Season\HarvestPlanController;
use App\Season\PacketController;
use App\Season\SuccessionController;
use App\Season\TodayController;
use App\Simulation\SampleFileController;
use App\Sites\CalibrationController;
use App\Sites\SiteController;
use App\Soil\SoilController;
use App\Stations\QualityController;
use App\Stations\RecordImportController;
use App\Stations\RecordPreviewController;
use App\Stations\ReportedCorrectionController;
use App\Stations\StationController;
use App\Stations\StationDeviceController;
use App\TrackRecord\TrackRecordController;
use App\Trials\LocalDaysController;
use App\Trials\TrialController;
use App\Windows\CropChoiceController;
use App\Windows\CropTrialController;
use App\Windows\WindowsController;
use App\Zones\BoundaryController;
use App\Zones\ComputationController;
use App\Zones\MethodController;
use App\Zones\ZoneController;
use Illuminate\Support\Facades\Route;

// The desk: where educators and volunteers work. Its pages are one shell; docs/openapi.yaml describes its data.

// Numbers larger than any row's are not addresses.
foreach (
    [
        'import',
        'computation',
        'decision',
        'site',
        'choice',
        'revision',
        'variety',
        'publication',
        'reading',
        'spot',
        'advisory',
        'device',
        'objection',
        'held',
        'trial',
        'cue',
        'bed',
        'logImport',
        'person',
        'invitation',
        'login',
        'token',
    ] as $numbered
) {
    Route::pattern($numbered, '[0-9]{1,18}');
}

// Its page is public, so it opens when nobody can be asked who is there; its data is not.
Route::view('/log', 'log')->name('log');
Route::view('/desk/login', 'desk')->name('login');
// Where links in e-mails lead, and where one is requested.
foreach (['forgot-password', 'invitation/{secret}', 'new-password/{secret}', 'new-address/{secret}'] as $path) {
    Route::view("/desk/{$path}", 'desk');
}
Route::pattern('secret', '[A-Za-z0-9]{40,64}');
Route::view('/desk/{path?}', 'desk')->where('path', '.*')->middleware('auth')->name('desk');

Route::prefix('api')->group(static function (): void {
    Route::get('session', [SessionController::class, 'show']);
    Route::post('session', [SessionController::class, 'store'])->middleware(['throttle:login', ReadsEveryOffice::class]);
    Route::post('session/code', [SessionController::class, 'code'])->middleware(['throttle:login', ReadsEveryOffice::class]);
    // For people who cannot log in yet, or not any more: a link in an e-mail brings them here.
    Route::middleware(['throttle:links', ReadsEveryOffice::class])->group(static function (): void {
        Route::get('invited/{secret}', [InvitationController::class, 'show']);
        Route::post('invited/{secret}', [InvitationController::class, 'accept']);
        Route::post('password-links', [PasswordController::class, 'ask']);
        Route::post('new-password', [PasswordController::class, 'store']);
        Route::post('new-address/{secret}', [AccountController::class, 'confirmEmail']);
    });

    Route::middleware(['auth', SayAsChosen::class])->group(static function (): void {
        Route::get('changes', [TrailController::class, 'index']);
        Route::get('people', [PeopleController::class, 'index']);
        Route::patch('people/{person}', [PeopleController::class, 'update']);
        Route::delete('people/{person}', [PeopleController::class, 'destroy']);
        Route::post('invitations', [InvitationController::class, 'store'])->middleware('throttle:invitations');
        Route::delete('invitations/{invitation}', [InvitationController::class, 'destroy']);
        Route::get('profile/account', [AccountController::class, 'show']);
        Route::put('profile/name', [AccountController::class, 'name']);
        Route::put('profile/email', [AccountController::class, 'email'])->middleware('throttle:invitations');
        Route::put('profile/password', [AccountController::class, 'password'])->middleware('throttle:links');
        Route::post('profile/second-factor', [AccountController::class, 'beginSecondFactor']);
        Route::put('profile/second-factor', [AccountController::class, 'confirmSecondFactor'])->middleware('throttle:links');
        Route::delete('profile/second-factor', [AccountController::class, 'endSecondFactor'])->middleware('throttle:links');
        Route::get('profile/tokens', [TokenController::class, 'index']);
        Route::post('profile/tokens', [TokenController::class, 'store'])->middleware('throttle:links');
        Route::delete('profile/tokens/{token}', [TokenController::class, 'destroy']);
        Route::post('profile/tokens/{token}/restoration', [TokenController::class, 'restore']);
        Route::delete('profile/logins/{login}', [AccountController::class, 'endLogin']);
        Route::put('profile', [ProfileController::class, 'update']);
        Route::get('attention', AttentionController::class);
        Route::put('session/office', [SessionController::class, 'office']);
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::put('demo-clock', [DemoClockController::class, 'update']);
        Route::get('zones', [ZoneController::class, 'index']);
        Route::post('zones', [ZoneController::class, 'store']);
        Route::get('zone-comparison', [ZoneComparisonController::class, 'show']);
        Route::get('zones/{zone}', [ZoneController::class, 'show']);
        Route::patch('zones/{zone}', [ZoneController::class, 'update']);
        Route::post('zones/{zone}/record-previews', [RecordPreviewController::class, 'store']);
        Route::get('zones/{zone}/record-imports', [RecordImportController::class, 'index']);
        Route::post('zones/{zone}/record-imports', [RecordImportController::class, 'store']);
        Route::post('record-imports/{import}/use', [RecordImportController::class, 'use']);
        Route::post('zones/{zone}/computations', [ComputationController::class, 'store'])->middleware('throttle:computing');
        Route::get('computations/{computation}', [ComputationController::class, 'show']);
        Route::delete('computations/{computation}', [ComputationController::class, 'destroy']);
        Route::put('zones/{zone}/method', [MethodController::class, 'update']);
        Route::get('zones/{zone}/quality', [QualityController::class, 'index']);
        Route::post('zones/{zone}/quality', [QualityController::class, 'store']);
        Route::delete('zones/{zone}/quality/{decision}', [QualityController::class, 'destroy']);
        Route::get('zones/{zone}/stations', [StationController::class, 'index']);
        Route::put('zones/{zone}/stations', [StationController::class, 'update']);
        Route::put('zones/{zone}/years', [StationController::class, 'years']);
        Route::post('zones/{zone}/calibrations', [CalibrationController::class, 'store']);
        Route::get('sites', [SiteController::class, 'index']);
        Route::post('sites', [SiteController::class, 'store']);
        Route::patch('sites/{site}', [SiteController::class, 'update']);
        Route::delete('sites/{site}', [SiteController::class, 'destroy']);
        Route::get('zones/{zone}/climate/years/{year}', [ClimateController::class, 'year'])->where('year', '\d{4}');
        Route::get('zones/{zone}/track-record', [TrackRecordController::class, 'show']);
        Route::get('zones/{zone}/track-record/turned', [TrackRecordController::class, 'turned']);
        Route::get('zones/{zone}/track-record/season', [TrackRecordController::class, 'season']);
        Route::post('zones/{zone}/track-record/season', [TrackRecordController::class, 'judgeSeason']);
        Route::get('zones/{zone}/rain', [ClimateController::class, 'rain']);
        Route::get('zones/{zone}/climate', [ClimateController::class, 'show']);
        Route::get('zones/{zone}/today', [TodayController::class, 'show']);
        Route::get('zones/{zone}/still-fits', [TodayController::class, 'stillFits']);
        Route::get('zones/{zone}/workable', [TodayController::class, 'workable']);
        Route::get('zones/{zone}/method-changes', [WindowsController::class, 'methodChanges'])->middleware('throttle:computing');
        Route::get('zones/{zone}/windows', [WindowsController::class, 'index']);
        Route::get('zones/{zone}/windows/{crop}', [WindowsController::class, 'show']);
        Route::get('zones/{zone}/windows/{crop}/runs', [WindowsController::class, 'runs']);
        Route::get('zones/{zone}/windows/{crop}/packet-days', [WindowsController::class, 'packetDays']);
        Route::get('zones/{zone}/windows/{crop}/water', [WindowsController::class, 'water']);
        Route::get('zones/{zone}/windows/{crop}/spares', [WindowsController::class, 'spares']);
        Route::get('zones/{zone}/windows/{crop}/sensitivity', [WindowsController::class, 'sensitivity']);
        Route::get('zones/{zone}/windows/{crop}/succession', [SuccessionController::class, 'show']);
        Route::get('zones/{zone}/windows/{crop}/compared', [WindowsController::class, 'compared']);
        Route::post('zones/{zone}/windows/{crop}/choices', [CropChoiceController::class, 'store']);
        Route::delete('zones/{zone}/choices/{choice}', [CropChoiceController::class, 'destroy']);
        Route::get('crops', [CropController::class, 'index']);
        Route::post('crops', [CropController::class, 'import']);
        Route::get('crop-columns', [CropController::class, 'columns']);
        Route::get('zones/{zone}/soil', [SoilController::class, 'index']);
        Route::post('zones/{zone}/soil-spots', [SoilController::class, 'storeSpot']);
        Route::post('zones/{zone}/soil-fits', [SoilController::class, 'fit']);
        Route::post('zones/{zone}/soil-readings', [SoilController::class, 'storeReading']);
        Route::delete('soil-readings/{reading}', [SoilController::class, 'withdraw']);
        Route::get('soil-spots/{spot}/probe', [SoilController::class, 'probe']);
        Route::get('soil-spots/{spot}/calibration', [SoilController::class, 'calibration']);
        Route::get('zones/{zone}/log', [LogController::class, 'index']);
        Route::get('zones/{zone}/log-book', [LogController::class, 'book']);
        Route::post('zones/{zone}/log-entries', [LogController::class, 'store']);
        Route::post('zones/{zone}/log-files', [LogController::class, 'import']);
        Route::get('log-imports/{logImport}', [LogController::class, 'imported']);
        Route::get('zones/{zone}/under-way', [LogController::class, 'underWay']);
        Route::get('zones/{zone}/water-due', [LogController::class, 'waterDue']);
        Route::get('zones/{zone}/local-days', [LocalDaysController::class, 'index']);
        Route::post('zones/{zone}/local-days', [LocalDaysController::class, 'store']);
        Route::delete('zones/{zone}/local-days/{held}', [LocalDaysController::class, 'undo']);
        Route::get('zones/{zone}/trials', [TrialController::class, 'index']);
        Route::post('zones/{zone}/trials', [TrialController::class, 'store']);
        Route::post('trials/{trial}/conclusion', [TrialController::class, 'close']);
        Route::delete('trials/{trial}/conclusion', [TrialController::class, 'reopen']);
        Route::get('zones/{zone}/cues', [CueController::class, 'index']);
        Route::post('zones/{zone}/cues', [CueController::class, 'store']);
        Route::delete('zones/{zone}/cues/{cue}', [CueController::class, 'destroy']);
        Route::get('zones/{zone}/ground', [GroundController::class, 'show']);
        Route::post('zones/{zone}/beds', [GroundController::class, 'storeBed']);
        Route::put('zones/{zone}/beds/{bed}', [GroundController::class, 'updateBed']);
        Route::get('zones/{zone}/beds/{bed}/fits', [GroundController::class, 'fits']);
        Route::get('zones/{zone}/beds/{bed}/between', [GroundController::class, 'between']);
        Route::get('zones/{zone}/plantings/{planting}/spares', [GroundController::class, 'spares']);
        Route::put('zones/{zone}/plantings', [GroundController::class, 'updatePlantings']);
        Route::post('zones/{zone}/season-plans', [GroundController::class, 'propose']);
        Route::post('zones/{zone}/task-feeds', [TaskFeedController::class, 'store']);
        Route::get('zones/{zone}/ground-tasks', [GroundController::class, 'tasks']);
        Route::get('zones/{zone}/harvest-plan', [HarvestPlanController::class, 'show']);
        Route::put('zones/{zone}/harvest-plan', [HarvestPlanController::class, 'update']);
        Route::get('zones/{zone}/worth', [BedYieldController::class, 'index']);
        Route::put('prices/{crop}', [BedYieldController::class, 'price']);
        Route::post('log-photos', [LogController::class, 'storePhoto']);
        Route::get('zones/{zone}/advisories', [AdvisoryController::class, 'index']);
        Route::post('zones/{zone}/advisories', [AdvisoryController::class, 'store']);
        Route::post('advisories/{advisory}/withdrawal', [AdvisoryController::class, 'withdraw']);
        Route::delete('advisories/{advisory}/withdrawal', [AdvisoryController::class, 'reinstate']);
        Route::get('zones/{zone}/station-devices', [StationDeviceController::class, 'index']);
        Route::post('zones/{zone}/station-devices', [StationDeviceController::class, 'store']);
        Route::get('zones/{zone}/reported-corrections', [ReportedCorrectionController::class, 'index']);
        Route::post('zones/{zone}/reported-corrections', [ReportedCorrectionController::class, 'decide']);
        Route::delete('station-devices/{device}', [StationDeviceController::class, 'destroy']);
        Route::post('station-devices/{device}/restoration', [StationDeviceController::class, 'restore']);
        Route::get('packets', [PacketController::class, 'index']);
        Route::put('packets/{crop}', [PacketController::class, 'update']);
        Route::get('shipped-crops', [ShippedCropController::class, 'index']);
        Route::post('shipped-crops/{slug}', [ShippedCropController::class, 'store']);
        Route::get('crops/{crop}', [CropController::class, 'show']);
        Route::patch('crops/{crop}', [CropController::class, 'update']);
        Route::post('crops/{crop}/trials', [CropTrialController::class, 'store']);
        Route::post('crops/{crop}/revisions/{revision}', [CropController::class, 'revert']);
        Route::post('crops/{crop}/varieties', [VarietyController::class, 'store']);
        Route::put('crops/{crop}/varieties/{variety}', [VarietyController::class, 'update']);
        Route::delete('crops/{crop}/varieties/{variety}', [VarietyController::class, 'destroy']);
        Route::get('zones/{zone}/editions', [EditionController::class, 'index']);
        Route::get('zones/{zone}/draft', [EditionController::class, 'draft']);
        Route::post('zones/{zone}/objections', [EditionController::class, 'object']);
        Route::post('objections/{objection}/answer', [EditionController::class, 'answer']);
        Route::post('zones/{zone}/editions', [EditionController::class, 'store']);
        Route::get('zone-boundaries', [BoundaryController::class, 'index']);
        Route::post('zone-boundaries', [BoundaryController::class, 'store']);
        Route::delete('zone-boundaries/{upload}', [BoundaryController::class, 'destroy'])->where('upload', '[A-Za-z0-9-]{8,64}');
        Route::get('translations', [TranslationController::class, 'index']);
        Route::put('translations', [TranslationController::class, 'update']);
        Route::get('outbox', OutboxController::class);
        Route::get('office', [OfficeController::class, 'show']);
        Route::put('office', [OfficeController::class, 'update']);
        Route::post('zones/{zone}/editions/{number}/signature', [EditionController::class, 'sign'])->where('number', '[0-9]{1,9}');
        Route::post('zones/{zone}/editions/{number}/withdrawal', [EditionController::class, 'withdraw'])->where('number', '[0-9]{1,9}');
        Route::get('publications/{publication}', [EditionController::class, 'publication']);
    });
});

Route::get('/desk-files/changes.csv', [TrailController::class, 'csv'])
    ->middleware(['auth', SayAsChosen::class])
    ->name('changes-table');
Route::get('/desk-files/crops.csv', [CropController::class, 'csv'])
    ->middleware(['auth', SayAsChosen::class])
    ->name('crop-table');
Route::get('/desk-files/zones/{zone}/log.csv', [LogController::class, 'csv'])
    ->middleware(['auth', SayAsChosen::class])
    ->name('log-table');
Route::get('/desk-files/zones/{zone}/labels.pdf', LabelController::class)
    ->middleware(['auth', SayAsChosen::class, 'throttle:paper'])
    ->name('labels');
Route::get('/desk-files/my-log.csv', [LogController::class, 'own'])
    ->middleware(['auth', SayAsChosen::class])
    ->name('own-log');
Route::get('/desk-files/log-photos/{photo}.jpg', [LogController::class, 'photo'])
    ->where('photo', '[0-9a-f]{64}')
    ->middleware(['auth', SayAsChosen::class])
    ->name('log-photo');
Route::get('/desk-files/zones/{zone}/record.csv', [StationController::class, 'csv'])
    ->middleware(['auth', SayAsChosen::class])
    ->name('filled-record');
Route::get('/desk-files/zones/{zone}/sample-climate-file.csv', SampleFileController::class)
    ->middleware(['auth', SayAsChosen::class])
    ->name('sample-climate-file');
Route::get('/desk-files/record-imports/{import}', [RecordImportController::class, 'original'])
    ->middleware(['auth', SayAsChosen::class])
    ->name('original');
