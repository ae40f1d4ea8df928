<?php

declare(strict_types=1);

// Two years in which every radish is eaten, an outcome only this process knows; run by OutcomeTest with the enum's file.

use Anthesis\Calendar\CropDossier;
use Anthesis\Exchange\CropCsv;
use Anthesis\Record\Day;
use Anthesis\Record\SowDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Runs;

require $argv[1];
require dirname(__DIR__, 2).'/autoload.php';

$eaten = Outcome::from('eaten');
$days = 2 * SowDay::YEAR;
$none = array_fill(0, $days, 0);
$runs = new Runs(Day::of(2001, 1, 1), [...range(1, SowDay::YEAR), ...range(1, SowDay::YEAR)], array_fill(0, $days, $eaten->code()), $none, $none, $none, $none);
$ribbon = OutcomeRibbon::of($runs);
$radish = CropCsv::standard()->find('radish') ?? exit('no radish');
$dossier = CropDossier::of($radish, [], ['direct' => $ribbon], SowDay::of(1, 1), 'open ground');
echo json_encode([
    'runs' => count(array_filter($runs->all(), static fn ($run): bool => $run->outcome === $eaten)),
    'reason' => $ribbon->reason(SowDay::of(5, 1))?->value,
    'reason_span' => $dossier['replay'][0]['standards']['reliable']['reasons'][0]['reason'] ?? null,
    'ribbon' => array_keys($dossier['replay'][0]['ribbon']['outcomes']),
    'years' => $dossier['replay'][0]['ribbon']['outcomes']['eaten'][0],
]);
