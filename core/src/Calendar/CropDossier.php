<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Crop\Variety;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Succession\HarvestDays;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\OwnDates;
use Anthesis\Window\School\School;
use Anthesis\Window\School\Schools;
use Anthesis\Window\SowingWindow;
use Anthesis\Words\Phrase;

/**
 * Everything known about a crop at a place: how its plantings on record turned out, and the windows of each method side by side.
 *
 * A plain document, ready for JSON:
 * - `record`: by way of growing. `ribbon.outcomes`: by outcome, list<int> length 365, years in which a planting on sow day i+1 had it, only
 *   those that occur. `ribbon.years`: years on record. `ribbon.reliability`, `ribbon.expected`: list<float> length 365. `harvested`: length
 *   365, days from sow day i+1 to the first and the last of its harvest, null if never harvested. `usual`: length 365, for a crop that is
 *   sown more than once, median days from sow day i+1 to its first harvest, and median days of harvest, null if never harvested; empty for
 *   other crops
 * - `record.raw`, `record.held`: by confidence level, the windows as the replay alone has them, and the days on which the years would allow
 *   it but the crop waits for the normal soil. `record.soil_minimum`: the soil it waits for, °C, null if none
 * - `record.water`: by the best day of each window, MM-DD, the result of SowingWater; left out without rain on record
 * - `varieties`: those of the crop with their own windows; `schools` as for the crop
 * - `schools`: by key of School and by confidence level, or under `any` if a method does not depend on it
 *
 * @phpstan-import-type Identity from CropSheet
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type RouteSheet from CropSheet
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type VarietyRoute from CropSheet
 * @phpstan-import-type Words from Phrase
 * @phpstan-import-type Water from SowingWater
 *
 * @phpstan-type Ribbon array{years: int, outcomes: array<string, list<int>>, reliability: list<float>, expected: list<float>}
 * @phpstan-type ReplayedRoute array{route: string, act: string, ribbon: Ribbon, harvested: list<array{int, int}|null>, usual: list<array{int, int}|null>, soil_minimum?: float|null, water?: array<string, Water>, raw?: array<string, list<Span>>, held?: array<string, list<Span>>}
 * @phpstan-type Dossier array{crop: Identity, record: list<ReplayedRoute>, schools: array<string, array<string, list<RouteSheet>>>, varieties: list<array{name: string, days: float, basis: string, tags: list<string>, schools: array<string, array<string, list<VarietyRoute>>>}>}
 */
final class CropDossier
{
    private const ANY = 'any';

    /** There is a warning about dates on days with a lower chance than this. */
    private const POOR = 0.5;

    /**
     * @param  list<Variety>  $varieties
     * @return Dossier
     */
    public static function of(Crop $crop, Schools $schools, array $varieties = []): array
    {
        $record = $sheets = [];
        foreach ($crop->routes as $route) {
            $windows = $schools->replay->of($crop, $route);
            $record[] = [
                'route' => $route->value,
                'act' => $crop->act($route)->value,
                'ribbon' => self::ribbon($windows->ribbon, $windows->expected),
                'harvested' => $windows->harvested(),
                'usual' => $crop->convention->successionDays === null
                        ? []
                        : self::usual(HarvestDays::of($schools->replay->runs($crop, $route))),
                'soil_minimum' => $windows->soilMinimum(),
                'raw' => self::byStandard($windows->raw(...)),
                'held' => self::byStandard($windows->held(...)),
            ];
        }
        foreach ($schools->all as $key => $school) {
            $sheets[$key] = self::windows($crop, $school);
        }

        return [
            'crop' => CropSheet::identity($crop),
            'record' => $record,
            'schools' => $sheets,
            'varieties' => array_map(static fn (Variety $v): array => self::variety($v, $schools), $varieties),
        ];
    }

    /**
     * Evidence with the water that plantings on the best day of each window need.
     *
     * @param  Dossier  $dossier
     * @param  Place  $place  it belongs to
     * @return Dossier unchanged if no rain is on record
     */
    public static function watered(array $dossier, Place $place, Crop $crop): array
    {
        foreach ($dossier['record'] as $i => $record) {
            $best = [];
            foreach ($dossier['schools'][FromReplay::KEY] ?? [] as $routes) {
                $own = array_column($routes, 'evidence', 'route')[$record['route']] ?? [];
                array_push($best, ...array_column($own, 'best'));
            }
            $water = SowingWater::onDays($place, $crop, Route::from($record['route']), array_values(array_unique($best)));
            if ($water !== []) {
                $dossier['record'][$i]['water'] = $water;
            }
        }

        return $dossier;
    }

    /**
     * @param  Dossier  $dossier
     * @param  list<RouteSheet>  $routes
     * @return list<RouteSheet> each window's evidence with the water of its best day, if rain is on record
     */
    private static function withWater(array $dossier, array $routes): array
    {
        $water = array_column($dossier['record'], 'water', 'route');

        return array_map(static function (array $route) use ($water): array {
            $evidence = array_map(static function (array $evidence) use ($water, $route): array {
                $told = $water[$route['route']][$evidence['best']] ?? null;

                return $told === null || $told['years'] === 0 ? $evidence : $evidence + ['water' => $told];
            }, $route['evidence']);

            return ['evidence' => $evidence] + $route;
        }, $routes);
    }

    /**
     * @param  callable(float): list<SowingWindow>  $windows  at a share of the years
     * @return array<string, list<Span>> by confidence level
     */
    private static function byStandard(callable $windows): array
    {
        $spans = [];
        foreach (ProofStandard::cases() as $standard) {
            $spans[$standard->value] = array_map(CropSheet::span(...), $windows($standard->share()));
        }

        return $spans;
    }

    /**
     * The sheet a calendar shows, by the chosen method.
     *
     * @param  Dossier  $dossier
     * @return Sheet
     */
    public static function sheet(array $dossier, string $school, ProofStandard $standard): array
    {
        $varieties = [];
        foreach ($dossier['varieties'] as $variety) {
            $routes = $variety['schools'][$school][$standard->value] ?? ($variety['schools'][$school][self::ANY] ?? []);
            $varieties[] = [
                'name' => $variety['name'],
                'days' => $variety['days'],
                'basis' => $variety['basis'],
                'tags' => $variety['tags'],
                'routes' => $routes,
            ];
        }

        return [
            'school' => $school,
            'routes' => self::withWater($dossier, self::sownAgain($dossier, self::routes($dossier, $school, $standard))),
            'varieties' => $varieties,
        ] + $dossier['crop'];
    }

    /**
     * @param  Dossier  $dossier
     * @param  list<RouteSheet>  $routes
     * @return list<RouteSheet> with the days to sow again on
     */
    private static function sownAgain(array $dossier, array $routes): array
    {
        $usual = array_column($dossier['record'], 'usual', 'route');

        return array_map(
            static fn (array $route): array => $route + [
                'again' => ($usual[$route['route']] ?? []) === [] ? [] : CropSheet::again($route['windows'], $usual[$route['route']]),
            ],
            $routes,
        );
    }

    /** @return list<array{int, int}|null> */
    private static function usual(HarvestDays $harvests): array
    {
        return array_map(static fn (int $sowDay): ?array => $harvests->days[$sowDay] ?? null, range(1, YearDay::YEAR));
    }

    /**
     * @param  Dossier  $dossier
     * @return list<RouteSheet> empty if the method has nothing to say about the crop
     */
    public static function routes(array $dossier, string $school, ProofStandard $standard): array
    {
        return $dossier['schools'][$school][$standard->value] ?? ($dossier['schools'][$school][self::ANY] ?? []);
    }

    /**
     * The sheet by an educator's own dates. Only what was set by hand comes from them; other ways of growing keep what the record says.
     *
     * @param  Dossier  $dossier
     * @return Sheet
     */
    public static function ownSheet(array $dossier, Crop $crop, OwnDates $own, ProofStandard $standard): array
    {
        $windows = $own->harvestedBy(array_column($dossier['record'], 'harvested', 'route'))->windows($crop, $standard);
        $set = array_column(CropSheet::routes($crop, $windows), null, 'route');
        $routes = [];
        foreach (self::routes($dossier, FromReplay::KEY, $standard) as $replayed) {
            $dates = $set[$replayed['route']] ?? null;
            $routes[] = $dates === null ? $replayed : ['fair' => $replayed['fair'], 'reasons' => $replayed['reasons']] + $dates;
        }

        // The dates are the crop's, whatever the variety.
        return ['school' => OwnDates::KEY, 'routes' => self::sownAgain($dossier, $routes), 'varieties' => []] + $dossier['crop'];
    }

    /**
     * @param  list<RouteSheet>  $routes
     * @return array<string, list<SowingWindow>> their windows, by value of Route
     */
    public static function windowsOf(array $routes): array
    {
        $windows = [];
        foreach ($routes as $route) {
            $windows[$route['route']] = array_map(
                static fn (array $span): SowingWindow => new SowingWindow(
                    YearDay::fromIso($span['first']),
                    YearDay::fromIso($span['last']),
                ),
                $route['windows'],
            );
        }

        return $windows;
    }

    /**
     * @param  Dossier  $dossier
     * @param  array<string, list<SowingWindow>>  $windows  by value of Route: from a method, or set by hand
     * @return list<Words> where the years on record disagree with them, one sentence per way of growing
     */
    public static function disagreements(array $dossier, array $windows): array
    {
        $sentences = [];
        foreach ($dossier['record'] as $route) {
            $poor = $days = 0;
            foreach ($windows[$route['route']] ?? [] as $window) {
                for ($i = 0; $i < $window->days; $i++) {
                    $days++;
                    $poor += $route['ribbon']['reliability'][$window->first->plus($i)->number - 1] < self::POOR ? 1 : 0;
                }
            }
            if ($poor > 0) {
                $sentences[] = Phrase::of('disagreement', [
                    'act' => Phrase::of("act.{$route['act']}.lead"),
                    'poor' => $poor,
                    'days' => $days,
                ])->toArray();
            }
        }

        return $sentences;
    }

    /** @return array{name: string, days: float, basis: string, tags: list<string>, schools: array<string, array<string, list<VarietyRoute>>>} */
    private static function variety(Variety $variety, Schools $schools): array
    {
        $crop = $variety->crop;
        $sheets = [];
        foreach ($schools->all as $key => $school) {
            if ($school !== $schools->replay) {
                $sheets[$key] = [self::ANY => CropSheet::varietyRoutes($crop, $school->windows($crop, ProofStandard::Reliable))];

                continue;
            }
            foreach (ProofStandard::cases() as $standard) {
                $sheets[$key][$standard->value] = CropSheet::varietyRoutes(
                    $crop,
                    array_map(
                        static fn (Route $route): RouteWindows => $schools->replay->of($crop, $route)->at($standard->share()),
                        $crop->routes,
                    ),
                );
            }
        }

        return [
            'name' => $variety->name,
            'days' => $crop->growth->maturityDays,
            'basis' => $crop->growth->maturityBasis->value,
            'tags' => $variety->tags,
            'schools' => $sheets,
        ];
    }

    /** @return array<string, list<RouteSheet>> by confidence level, or under ANY */
    private static function windows(Crop $crop, School $school): array
    {
        if (! $school->asksProof()) {
            return [self::ANY => CropSheet::routes($crop, $school->windows($crop, ProofStandard::Reliable))];
        }
        $sheets = [];
        foreach (ProofStandard::cases() as $standard) {
            $sheets[$standard->value] = CropSheet::routes($crop, $school->windows($crop, $standard));
        }

        return $sheets;
    }

    /**
     * @param  list<float>  $expected  length 365, expected harvest of sow day i+1
     * @return Ribbon
     */
    public static function ribbon(OutcomeRibbon $ribbon, array $expected): array
    {
        $none = array_fill(0, YearDay::YEAR, 0);
        $byCode = [];
        foreach ($ribbon->counts as $i => $counts) {
            foreach ($counts as $code => $years) {
                $byCode[$code] ??= $none;
                $byCode[$code][$i] = $years;
            }
        }
        $outcomes = [];
        foreach (Outcome::cases() as $outcome) {
            if (isset($byCode[$outcome->code()])) {
                $outcomes[$outcome->value] = $byCode[$outcome->code()];
            }
        }

        return [
            'years' => $ribbon->yearsOnRecord(),
            'outcomes' => $outcomes,
            'reliability' => array_map(static fn (float $r): float => round($r, 3), $ribbon->reliability),
            'expected' => array_map(static fn (float $e): float => round($e, 3), $expected),
        ];
    }
}
