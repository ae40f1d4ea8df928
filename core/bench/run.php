<?php

declare(strict_types=1);

// Times the core alone, in one process, on made-up records of 30, 60 and 120 years. Run by bin/bench.

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\YearRuler;
use Anthesis\Crop\Crop;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\QualityControl;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Season\SortedActs;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use Anthesis\Stations\StationFileReader;
use Anthesis\Tables\CropCsv;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;

require dirname(__DIR__).'/autoload.php';

const REPEATS = 5;

/** @return string a station file of so many years, ending with 2025 */
function stationFile(int $years): string
{
    mt_srand(7);
    $text = "date,tmin_c,tmax_c\n";
    $first = Day::of(2026 - $years, 1, 1)->number;
    for ($number = $first, $end = Day::of(2025, 12, 31)->number; $number <= $end; $number++) {
        $mean = 9.2 - 11.9 * cos((2 * M_PI * (Day::yearDayOf($number) - 18)) / 365) + mt_rand(-60, 60) / 10;
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
$rows = [
    'read a station file (CSV)' => [],
    'quality control' => [],
    'freezes, soil, normals, light, ruler' => [],
    'climate sheet; soil and normals of 11 sites' => [],
    'windows of all crops, counting back' => [],
    'together' => [],
];
foreach ([30, 60, 120] as $years) {
    $file = stationFile($years);
    $stream = fopen('php://memory', 'w+') ?: exit(1);
    fwrite($stream, $file);
    $reading = $report = $place = null;
    $times = [
        best(function () use ($stream, &$reading): void {
            rewind($stream);
            $reading = (new StationFileReader())->read($stream);
        }),
        best(function () use (&$reading, &$report): void {
            $report = (new QualityControl())->check($reading->asRead, $reading->marks);
        }),
        best(function () use (&$report, &$place): void {
            $place = PlaceEvidence::of($report->usable, Latitude::of(46.8), Site::openGround());
            YearRuler::of($report->usable, $place);
        }),
        best(function () use (&$report, &$place): void {
            ClimateSheet::of($report->usable, $place, ClimateSheet::soilTemperatures(CropCsv::standard()->crops), Site::presets());
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

/**
 * Every crop of a list by every route at some sites, from the record in memory to windows.
 *
 * @param  list<Crop>  $crops
 * @param  list<Site>  $sites
 * @return array{int, int} runs, windows
 */
function replayAll(DailyRecord $record, array $crops, array $sites): array
{
    $runs = $windows = 0;
    foreach ($sites as $site) {
        $replay = new Replay($record, Latitude::of(46.8), $site);
        foreach ($crops as $crop) {
            foreach ($crop->routes as $route) {
                $sown = $replay->runs($crop, $route);
                $runs += count($sown->outcomes);
                $found = new ReplayWindows($crop, $route, OutcomeRibbon::of($sown), Latitude::of(46.8)->yearStart(), $site->name);
                $windows += count($found->at(0.8)->windows);
            }
        }
    }

    return [$runs, $windows];
}

$crops = CropCsv::standard()->crops;
$open = [Site::openGround()];
$record = static function (int $years): DailyRecord {
    $stream = fopen('php://memory', 'w+') ?: exit(1);
    fwrite($stream, stationFile($years));
    rewind($stream);

    return (new StationFileReader())->read($stream)->asRead;
};
[$thirty, $sixty] = [$record(30), $record(60)];
printf("%-44s %9s %12s %9s\n", 'replay to windows (best of '.REPEATS.')', 'seconds', 'runs a second', 'ns a run');
foreach (
    [
        'all crops, all routes, 30 years, 1 site' => [$thirty, $crops, $open],
        'the first 88 crops' => [$thirty, array_slice($crops, 0, 88), $open],
        '60 years' => [$sixty, $crops, $open],
        '2 sites' => [$thirty, $crops, [...$open, Site::named('low tunnel')]],
    ] as $what => [$days, $list, $sites]
) {
    $runs = 0;
    $seconds = best(static function () use ($days, $list, $sites, &$runs): void {
        [$runs] = replayAll($days, $list, $sites);
    });
    printf("%-44s %9.3f %13s %9.0f\n", $what, $seconds, number_format($runs / $seconds), (1e9 * $seconds) / $runs);
}
printf("%-44s %6d MB\n\n", 'memory at its highest', memory_get_peak_usage(true) / 1048576);

// Today: every act of the coming nine weeks on this season's members, one site.
$ends = Day::of(2025, 4, 17);
$season = best(static function () use ($thirty, $ends, $crops): void {
    $record = $thirty->between($thirty->first, $ends);
    SortedActs::of($crops, ThisSeason::of($record, null, Latitude::of(46.8), Site::openGround()), $ends->plus(1), 0.8);
});
printf("%-44s %9.3f\n", 'this season, all acts, 30 years, 1 site', $season);

// Water: every sow day of 88 crops, of which each is watered as it asks, on loam.
$rain = array_map(static fn (int $i): float => mt_rand(0, 9) < 7 ? 0.0 : mt_rand(1, 120) / 10, range(1, $thirty->days()));
$rained = new DailyRecord($thirty->first, $thirty->minimum, $thirty->maximum, $rain);
$watered = 0;
$seconds = best(static function () use ($rained, $crops, &$watered): void {
    $water = WaterDays::of($rained, Latitude::of(46.8));
    $replay = new Replay($rained, Latitude::of(46.8), Site::openGround());
    $watered = 0;
    foreach (array_slice($crops, 0, 88) as $crop) {
        $runs = $replay->runs($crop, $crop->routes[0]);
        $irrigation = new Irrigation($water, Ground::named(Ground::DEFAULT), $crop, $crop->routes[0], $replay->grown($crop));
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $watered += count($irrigation->of($runs->all($day, Outcome::Harvest)));
        }
    }
});
printf("%-44s %9.3f %13s\n", 'water of 88 crops, every sow day, 30 years', $seconds, number_format($watered).' sowings');
printf("%-44s %6d MB\n", 'memory at its highest', memory_get_peak_usage(true) / 1048576);
