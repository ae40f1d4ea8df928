<?php

declare(strict_types=1);

// Two years in which every radish is eaten, an outcome only this process knows; run by OutcomeTest with the enum's file.

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Tables\CropCsv;
use Anthesis\Window\ReplayWindows;

require $argv[1];
require dirname(__DIR__, 2).'/autoload.php';

$eaten = Outcome::from('eaten');
$days = 2 * YearDay::YEAR;
$none = array_fill(0, $days, 0);
$runs = new Runs(
    Day::of(2001, 1, 1),
    SowDays::of([...range(1, YearDay::YEAR), ...range(1, YearDay::YEAR)]),
    array_fill(0, $days, $eaten->code()),
    $none,
    $none,
    $none,
    $none,
);
$ribbon = OutcomeRibbon::of($runs);
$radish = CropCsv::standard()->find('radish') ?? exit('no radish');
$windows = new ReplayWindows($radish, Route::Direct, $ribbon, YearDay::of(1, 1), 'open ground');
$sheet = CropSheet::routes($radish, [$windows->at(0.8)])[0];
echo json_encode([
    'runs' => count(array_filter($runs->all(), static fn ($run): bool => $run->outcome === $eaten)),
    'reason' => $ribbon->reason(YearDay::of(5, 1))?->value,
    'reason_span' => $sheet['reasons'][0]['reason'] ?? null,
    'ribbon' => array_keys(CropDossier::ribbon($ribbon, [])['outcomes']),
    'years' => CropDossier::ribbon($ribbon, [])['outcomes']['eaten'][0],
]);
