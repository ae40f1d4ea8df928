<?php

declare(strict_types=1);

// Times the core alone, in one process, on made-up records of 30, 60 and 120 years. Run by bin/bench.

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\YearRuler;
use Anthesis\Exchange\CropCsv;
use Anthesis\Exchange\StationFileReader;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\QualityControl;
use Anthesis\Soil\Site;
use Anthesis\Window\CountBack;
use Anthesis\Window\CountBackSettings;
use Anthesis\Window\PlaceEvidence;

require dirname(__DIR__).'/autoload.php';

const REPEATS = 5;

/** @return string a station file of so many years, ending with 2025 */
function stationFile(int $years): string
{
    mt_srand(7);
    $text = "date,tmin_c,tmax_c\n";
    $first = Day::of(2026 - $years, 1, 1)->number;
    for ($number = $first, $end = Day::of(2025, 12, 31)->number; $number <= $end; $number++) {
        $mean = 9.2 - 11.9 * cos(2 * M_PI * (Day::sowDayOf($number) - 18) / 365) + mt_rand(-60, 60) / 10;
        $text .= Day::fromNumber($number)->iso().sprintf(",%.1f,%.1f\n", $mean - 6, $mean + 6.4);
    }

    return $text;
}

/** @return float the shortest of a few runs, seconds */
function best(callable $work): float
{
    $best = INF;
    for ($i = 0; $i < REPEATS; $i++) {
        $start = hrtime(true);
        $work();
        $best = min($best, (hrtime(true) - $start) / 1e9);
    }

    return $best;
}

printf("%-44s %9s %9s %9s\n", 'core, seconds (best of '.REPEATS.')', '30 years', '60 years', '120 years');
$rows = ['read a station file (CSV)' => [], 'quality control' => [], 'freezes, soil, normals, light, ruler' => [], 'climate sheet; soil and normals of 11 sites' => [], 'windows of all crops, counting back' => [], 'together' => []];
foreach ([30, 60, 120] as $years) {
    $file = stationFile($years);
    $stream = fopen('php://memory', 'w+') ?: exit(1);
    fwrite($stream, $file);
    $reading = $report = $place = null;
    $times = [
        best(function () use ($stream, &$reading): void {
            rewind($stream);
            $reading = (new StationFileReader)->read($stream);
        }),
        best(function () use (&$reading, &$report): void {
            $report = (new QualityControl)->check($reading->asRead, $reading->marks);
        }),
        best(function () use (&$report, &$place): void {
            $place = PlaceEvidence::of($report->usable, Latitude::of(46.8), Site::openGround());
            YearRuler::of($report->usable, $place);
        }),
        best(function () use (&$report, &$place): void {
            ClimateSheet::of($report->usable, $place, CropCsv::standard()->crops, Site::presets());
        }),
        best(function () use (&$place): void {
            $back = new CountBack($place, CountBackSettings::conventional());
            foreach (CropCsv::standard()->crops as $crop) {
                CropSheet::of($crop, 'count-back', $back->windows($crop));
            }
        }),
    ];
    foreach ([...$times, array_sum($times)] as $i => $seconds) {
        $rows[array_keys($rows)[$i]][] = $seconds;
    }
}
foreach ($rows as $what => $seconds) {
    printf("%-44s %9.3f %9.3f %9.3f\n", $what, ...$seconds);
}
printf("%-44s %6d MB\n\n", 'memory at its highest', memory_get_peak_usage(true) / 1048576);
