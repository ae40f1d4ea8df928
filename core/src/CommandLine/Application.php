<?php

declare(strict_types=1);

namespace Anthesis\CommandLine;

use Anthesis\Calendar\CropSheet;
use Anthesis\Climate\FreezeRisk;
use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Climate\Hardiness;
use Anthesis\Climate\Quantile;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Messages\Words;
use Anthesis\Publishing\EditionCsv;
use Anthesis\Record\Day;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Run;
use Anthesis\Season\OutlookRefused;
use Anthesis\Season\Splice;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Succession\EvenSupply;
use Anthesis\Succession\HarvestDays;
use Anthesis\Succession\SuccessionSowing;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\Radiation;
use Anthesis\Verification\SeasonPromises;
use Anthesis\Verification\WindowPromises;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Workable;
use Anthesis\Window\BestSpan;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Schools;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowFinder;
use Anthesis\Words\Phrase;

/**
 * The core's command line: files in, JSON, CSV, or text out. It uses neither a database nor Laravel.
 *
 * docs/cli.md describes commands, options and keys.
 */
final class Application
{
    private const COMMANDS = [
        'sun',
        'freezes',
        'soil',
        'replay',
        'left',
        'season',
        'succession',
        'windows',
        'water',
        'irrigation',
        'verification',
    ];

    /** Options of every command that replays a crop. */
    private const OF_RUNS = ['record', 'latitude', 'crop', 'crop-file', 'crops', 'route', 'site', 'years', 'light'];

    private const OF_WINDOWS = ['record', 'latitude', 'crops', 'school', 'site', 'standard', 'light', 'risk', 'format'];

    private const RISKS = ['0.5', '0.2', '0.1'];

    /**
     * @param  list<string>  $arguments  without the program's name
     * @return array{int, string} exit code, and what to print: to standard output for 0, to standard error for 2
     */
    public function run(array $arguments): array
    {
        try {
            $command = $arguments[0] ?? '';
            $rest = array_slice($arguments, 1);

            return [
                0,
                match ($command) {
                    'sun' => $this->sun(Options::parse($rest, ['latitude'])),
                    'freezes' => $this->freezes(Options::parse($rest, ['record', 'latitude', 'years'])),
                    'soil' => $this->soil(Options::parse($rest, ['record', 'latitude', 'site', 'depth'])),
                    'replay' => $this->replay(Options::parse($rest, self::OF_RUNS)),
                    'left' => $this->left(Options::parse($rest, [...self::OF_RUNS, 'day', 'standard'])),
                    'season' => $this->season(Options::parse($rest, [...self::OF_RUNS, 'sown', 'outlook'])),
                    'succession' => $this->succession(Options::parse($rest, [...self::OF_RUNS, 'from', 'until', 'standard'])),
                    'windows' => $this->windows(Options::parse($rest, self::OF_WINDOWS, ['raw'])),
                    'water' => $this->water(Options::parse($rest, ['record', 'latitude', 'ground', 'site'])),
                    'irrigation' => $this->irrigation(Options::parse($rest, [...self::OF_RUNS, 'ground', 'sown'])),
                    'verification' => $this->verification(Options::parse($rest, [...self::OF_RUNS, 'of', 'standard'])),
                    default => throw new UsageError(
                        ($command === '' ? 'A command is needed' : "There is no command “{$command}”").
                            '; there are: '.
                            implode(', ', self::COMMANDS).
                            '.',
                    ),
                },
            ];
        } catch (UsageError $error) {
            return [2, $error->getMessage()."\n"];
        } catch (RecordTooShort|OutlookRefused $error) {
            return [2, Words::in('en')->phrase($error->why)."\n"];
        }
    }

    private function sun(Options $options): string
    {
        $latitude = $options->latitude();
        $days = [];
        for ($number = 1; $number <= YearDay::YEAR; $number++) {
            $day = YearDay::fromNumber($number);
            $days[] = [
                'sow_day' => $number,
                'day_length' => round(DayLength::hours($latitude, $day), 4),
                'with_twilight' => round(DayLength::withTwilight($latitude, $day), 4),
                'radiation' => round(Radiation::onDay($latitude, $day), 4),
            ];
        }

        return $this->json($days);
    }

    private function freezes(Options $options): string
    {
        $latitude = $options->latitude();
        [$from, $to] = $options->years();
        $record = $options->record();
        $thresholds = [];
        $seasons = [];
        foreach (FreezeThreshold::cases() as $threshold) {
            $statistics = FreezeStatistics::of($record, $latitude, $threshold->celsius(), $from, $to);
            $seasons = $statistics->seasons;
            $thresholds[] = $this->threshold($statistics);
        }
        $hardiness = Hardiness::of($seasons);
        if ($hardiness === null) {
            throw new RecordTooShort(
                $from === null || $to === null
                    ? Phrase::of('error.no-cold-season-at-all')
                    : Phrase::of('error.no-cold-season-of', ['from' => "{$from}", 'to' => "{$to}"]),
            );
        }

        return $this->json([
            'latitude' => $latitude->degrees,
            'thresholds' => $thresholds,
            'hardiness' => [
                'mean_extreme_minimum' => round($hardiness->meanExtremeMinimum, 4),
                'half_zone' => $hardiness->halfZone,
            ],
        ]);
    }

    /** @return array<string, mixed> */
    private function threshold(FreezeStatistics $statistics): array
    {
        $last = $first = $ranks = $risk = [];
        foreach (self::RISKS as $chance) {
            $last[$chance] = $this->rounded($statistics->lastAtRisk(FreezeRisk::of((float) $chance)));
            $first[$chance] = $this->rounded($statistics->firstAtRisk(FreezeRisk::of((float) $chance)));
        }
        foreach (['0.1', '0.5', '0.9'] as $p) {
            $ranks[$p] = Quantile::rankInterval($statistics->count(), (float) $p);
        }
        for ($offset = 0; $offset <= YearDay::YEAR; $offset++) {
            $risk[(string) $offset] = round($statistics->riskOnOrAfter($offset), 4);
        }
        $out = [
            'threshold' => $statistics->thresholdCelsius,
            'seasons' => array_map(
                static fn ($s): array => ['season' => $s->season, 'first' => $s->first, 'last' => $s->last],
                $statistics->seasons,
            ),
            'last' => $last,
            'first' => $first,
            'rank_interval' => $ranks,
            'risk_of_freeze_on_or_after' => (object) $risk,
        ];
        $trend = $statistics->trendOfLast();
        if ($trend !== null) {
            $out['trend_of_last'] = ['days_per_decade' => round($trend->daysPerDecade, 4), 'p' => round($trend->p, 4)];
        }

        return $out;
    }

    private function soil(Options $options): string
    {
        $site = $options->site();
        $soil = SoilTemperature::of($options->record(), $options->latitude(), $site);
        $daily = [];
        foreach ($soil->dailyMean as $i => $mean) {
            if ($mean !== null) {
                $daily[Day::fromNumber($soil->first->number + $i)->iso()] = round($mean, 3);
            }
        }

        return $this->json([
            'site' => [
                'name' => $site->name,
                'depth' => $site->depth,
                'diffusivity' => $site->diffusivity,
                'rate' => $site->rate,
                'sun' => $site->sun,
                'air' => $site->air,
                'protect' => $site->protection,
            ],
            'daily_mean' => $daily,
            'normals' => array_map(static fn (float $v): float => round($v, 3), $soil->normals()->values),
        ]);
    }

    private function replay(Options $options): string
    {
        [$crop, $route] = $this->cropAndRoute($options);
        [$from, $to] = $options->years();
        $runs = $options->replay($options->record())->runs($crop, $route);
        if ($from !== null && $to !== null) {
            $runs = $runs->sownIn($from, $to);
        }
        $ribbon = OutcomeRibbon::of($runs);
        $expected = $ribbon->expectedHarvest($crop->harvest->days);
        $windows = [];
        foreach (['0.8', '0.5'] as $share) {
            $open = array_map(static fn (float $r): bool => $r >= (float) $share - Tolerance::SUMS, $ribbon->reliability);
            $windows[$share] = WindowFinder::runs($open, YearDay::fromNumber(1), ProofStandard::LEAST_DAYS);
        }
        $numbers = static fn (SowingWindow $w): array => [$w->first->number, $w->last->number];

        return $this->json([
            'growth_days_needed' => round((new Maturity($crop))->growthDays($route), 4),
            'runs' => array_map(
                static fn (Run $r): array => [$r->sown->iso(), $r->outcome->value, $r->daysToHarvest, $r->harvestDays],
                $runs->all(),
            ),
            'reliability' => array_map(static fn (float $r): float => round($r, 4), $ribbon->reliability),
            'windows' => array_map(static fn (array $spans): array => array_map($numbers, $spans), $windows),
            'expected_harvest' => array_map(static fn (float $e): float => round($e, 4), $expected),
            'best' => [
                '0.8' => array_map(static fn (SowingWindow $w): array => $numbers(BestSpan::of($w, $expected)), $windows['0.8']),
            ],
        ]);
    }

    private function left(Options $options): string
    {
        [$crop, $route] = $this->cropAndRoute($options);
        [$from, $to] = $options->years();

        return $this->json([
            'packet_days' => PacketDays::left(
                $options->replay($options->record()),
                $crop,
                $route,
                $options->day(),
                $options->standard(),
                $from,
                $to,
            ),
        ]);
    }

    private function season(Options $options): string
    {
        [$crop, $route] = $this->cropAndRoute($options);
        [$from, $to] = $options->years();
        $season = ThisSeason::of(
            $options->record(),
            $options->outlook(),
            $options->latitude(),
            $options->site(),
            $options->light(),
        );
        $sowing = $season->sowing(
            $crop,
            $route,
            $options->date('sown', $season->today->plus(-Splice::BEFORE), $season->today->plus(ThisSeason::AHEAD)),
        );
        $members = [];
        foreach ($sowing->outcomes() as $year => [$outcome, $first]) {
            if ($from === null || $to === null || ($year >= $from && $year <= $to)) {
                $members[(string) $year] = [$outcome->value, $first?->iso()];
            }
        }

        return $this->json(['members' => (object) $members]);
    }

    private function succession(Options $options): string
    {
        [$crop, $route] = $this->cropAndRoute($options);
        [$from, $to] = $options->years();
        $runs = $options->replay($options->record())->runs($crop, $route);
        if ($from !== null && $to !== null) {
            $runs = $runs->sownIn($from, $to);
        }

        return $this->json(
            array_map(
                static fn (SuccessionSowing $s): array => ['sow' => $s->on->iso(), 'first' => $s->first, 'last' => $s->last],
                EvenSupply::of(HarvestDays::of($runs), $options->day('from'), $options->days('until'), $options->standard()),
            ),
        );
    }

    private function water(Options $options): string
    {
        $record = $options->recordWithRain();
        $latitude = $options->latitude();
        $water = WaterDays::of($record, $latitude);
        $workable = Workable::of($water, $options->ground());
        $site = SoilTemperature::of($record, $latitude, $options->site())->dailyMean;
        /** @param  list<float|bool|null>  $values */
        $by = static function (array $values) use ($water): object {
            $dates = [];
            foreach ($values as $i => $value) {
                if ($value !== null) {
                    $dates[$water->first->plus($i)->iso()] = is_float($value) ? round($value, 3) : $value;
                }
            }

            return (object) $dates;
        };
        $first = [];
        foreach ($workable->first($latitude) as $year => $day) {
            $first[(string) $year] = $day?->iso();
        }

        return $this->json([
            'et0' => $by($water->et0),
            'reaching' => $by($water->reaching),
            'pack' => $by($water->pack),
            'dried' => $by($workable->dried),
            'soil' => $by($site),
            'workable' => $by($workable->days),
            'workable_days' => $workable->count(),
            'first_workable' => (object) $first,
        ]);
    }

    private function irrigation(Options $options): string
    {
        [$crop, $route] = $this->cropAndRoute($options);
        [$from, $to] = $options->years();
        $record = $options->recordWithRain();
        $replay = $options->replay($record);
        $runs = $replay->runs($crop, $route);
        if ($from !== null && $to !== null) {
            $runs = $runs->sownIn($from, $to);
        }
        $water = WaterDays::of($record, $options->latitude());
        $irrigation = new Irrigation($water, $options->ground(), $crop, $route, $replay->grown($crop));
        $years = [];
        foreach ($irrigation->of($runs->all($options->day('sown')->number, Outcome::Harvest)) as $year => $watered) {
            $years[(string) $year] = [
                $watered->waterings,
                round($watered->millimetres, 2),
                round($watered->thirstiestWeek, 2),
                $watered->sprinklings,
            ];
        }

        return $this->json(['years' => (object) $years]);
    }

    private function verification(Options $options): string
    {
        [$crop, $route] = $this->cropAndRoute($options);
        [$from, $to] = $options->years();
        $record = $options->record();
        if ($options->choice('of', ['windows', 'season'], 'windows') === 'season') {
            $season = SeasonPromises::of(
                $record,
                $options->latitude(),
                $options->site(),
                $options->light(),
                $crop,
                $route,
                $from,
                $to,
            );

            return $this->json([
                'cases' => $season->cases,
                'brier' => $this->rounded($season->brier),
                'brier_of_record' => $this->rounded($season->brierOfRecord),
                'skill' => $this->rounded($season->skill),
            ]);
        }
        $runs = $options->replay($record)->runs($crop, $route);
        if ($from !== null && $to !== null) {
            $runs = $runs->sownIn($from, $to);
        }
        $windows = WindowPromises::of($runs, $options->standard());

        return $this->json([
            'runs' => $windows->runs,
            'harvests' => $windows->harvests,
            'promised' => $this->rounded($windows->promised),
            'judged' => $windows->judged,
            'brier' => $this->rounded($windows->brier),
            'skill' => $this->rounded($windows->skill),
            'bins' => array_map(fn (array $bin): array => [$bin[0], $this->rounded($bin[1]), $bin[2]], $windows->bins),
        ]);
    }

    /** @return array{Crop, Route} */
    private function cropAndRoute(Options $options): array
    {
        $crop = $options->crop();

        return [$crop, Route::from($options->choice('route', array_column(Route::cases(), 'value'), $crop->routes[0]->value))];
    }

    private function windows(Options $options): string
    {
        $school = $options->choice('school', [FromReplay::KEY, CountBack::KEY], FromReplay::KEY);
        $format = $options->choice('format', ['json', 'csv', 'text'], 'json');
        [$standard, $risk] = [$options->standard(), $options->risk()];
        $record = $options->record();
        $place = PlaceEvidence::of($record, $options->latitude(), $options->site());
        $schools = Schools::on(new Grounds($place, $options->replay($record), new CountBackSettings($risk, $risk)));
        $sheets = array_map(
            static fn (Crop $crop): array => CropSheet::of(
                $crop,
                $school,
                $school === FromReplay::KEY
                    ? $schools->replay->at($crop, $standard, $options->has('raw'))
                    : $schools->all[$school]->windows($crop, ProofStandard::Reliable),
            ),
            $options->crops()->crops,
        );
        if ($format === 'csv') {
            return EditionCsv::write('', $sheets, Words::in('en'));
        }
        $rows = [];
        foreach ($sheets as $sheet) {
            foreach ($sheet['routes'] as $route) {
                $rows[] = ['crop' => $sheet['slug'], 'name' => $sheet['name'], 'school' => $school] + $route;
            }
        }

        return $format === 'json' ? $this->json($rows) : $this->text($rows);
    }

    /** @param list<array{name: string, act: string, windows: list<array{first: string, last: string, days: int}>, ...}> $rows */
    private function text(array $rows): string
    {
        $text = '';
        foreach ($rows as $row) {
            $spans = array_map(
                static fn (array $w): string => $w['days'] === YearDay::YEAR ? 'all year' : "{$w['first']} to {$w['last']}",
                $row['windows'],
            );
            $text .=
                str_pad($row['name'], 32).
                str_pad(Words::in('en')->say("act.{$row['act']}"), 14).
                ($spans === [] ? 'no window' : implode(', ', $spans)).
                "\n";
        }

        return $text;
    }

    private function rounded(?float $offset): ?float
    {
        return $offset === null ? null : round($offset, 4);
    }

    private function json(mixed $value): string
    {
        return json_encode(
            $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
    }
}
