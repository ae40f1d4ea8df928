<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\SowDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;

/**
 * All that is known of a crop at a place: both schools side by side, and the outcomes behind the replay.
 *
 * A plain document, ready for JSON:
 * - `ribbon.outcomes`: by outcome, list<int> length 365, years in which a sowing on sow day i+1 came to it; only those that occur
 * - `ribbon.years`: years on record; `ribbon.reliability`: list<float> length 365
 * - `harvested`: length 365, days from sow day i+1 to the first and the last of its harvest; null: never harvested
 * - `standards`: the windows at each standard of proof
 *
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type RouteSheet from CropSheet
 *
 * @phpstan-type Ribbon array{years: int, outcomes: array<string, list<int>>, reliability: list<float>}
 * @phpstan-type ReplayedRoute array{route: string, act: string, ribbon: Ribbon, harvested: list<array{int, int}|null>, standards: array<string, RouteSheet>}
 * @phpstan-type Dossier array{crop: Sheet, seedling_days: int|null, replay: list<ReplayedRoute>}
 */
final class CropDossier
{
    public const REPLAY = 'replay';

    public const COUNT_BACK = 'count-back';

    public const OWN = 'own';

    /** Own dates on days of a poorer chance than this are warned of. */
    private const POOR = 0.5;

    /**
     * @param  list<RouteWindows>  $countedBack
     * @param  array<string, OutcomeRibbon>  $ribbons  by value of Route
     * @param  SowDay  $from  where the year is cut
     * @return Dossier the school of `crop` is counting back
     */
    public static function of(Crop $crop, array $countedBack, array $ribbons, SowDay $from, string $site): array
    {
        $replay = [];
        foreach ($ribbons as $route => $ribbon) {
            $windows = new ReplayWindows($crop, Route::from($route), $ribbon, $from, $site);
            $standards = [];
            foreach (ProofStandard::cases() as $standard) {
                $standards[$standard->value] = CropSheet::routes($crop, [$windows->at($standard->share())])[0];
            }
            $replay[] = ['route' => $route, 'act' => CropSheet::act($crop, Route::from($route)), 'ribbon' => self::ribbon($ribbon),
                'harvested' => $windows->harvested(), 'standards' => $standards];
        }

        return ['crop' => CropSheet::of($crop, self::COUNT_BACK, $countedBack), 'seedling_days' => $crop->underCover->weeks?->days(), 'replay' => $replay];
    }

    /**
     * The sheet a calendar shows: by the school chosen.
     *
     * @param  Dossier  $dossier
     * @param  OwnDates|null  $own  for the school `own`
     * @return Sheet
     */
    public static function sheet(array $dossier, string $school, ProofStandard $standard, ?OwnDates $own = null): array
    {
        $routes = match (true) {
            $school === self::COUNT_BACK => $dossier['crop']['routes'],
            $school === self::OWN && $own !== null => self::own($dossier, $standard, $own),
            default => array_map(static fn (array $route): array => $route['standards'][$standard->value], $dossier['replay']),
        };

        return ['school' => $school, 'routes' => $routes] + $dossier['crop'];
    }

    /**
     * @param  Dossier  $dossier
     * @return array<string, list<SowingWindow>> the windows counted back, by value of Route
     */
    public static function countedBack(array $dossier): array
    {
        $windows = [];
        foreach ($dossier['crop']['routes'] as $route) {
            $windows[$route['route']] = array_map(static fn (array $span): SowingWindow => new SowingWindow(SowDay::fromIso($span['first']), SowDay::fromIso($span['last'])), $route['windows']);
        }

        return $windows;
    }

    /**
     * @param  Dossier  $dossier
     * @param  array<string, list<SowingWindow>>  $windows  by value of Route: counted back, or set by hand
     * @return list<string> where the years on record disagree with them, a sentence a route
     */
    public static function disagreements(array $dossier, array $windows): array
    {
        $sentences = [];
        foreach ($dossier['replay'] as $route) {
            $poor = $days = 0;
            foreach ($windows[$route['route']] ?? [] as $window) {
                for ($i = 0; $i < $window->days; $i++) {
                    $days++;
                    $poor += $route['ribbon']['reliability'][$window->first->plus($i)->number - 1] < self::POOR ? 1 : 0;
                }
            }
            if ($poor > 0) {
                $sentences[] = ucfirst($route['act']).": on {$poor} of these {$days} days fewer than half the years on record came to a harvest.";
            }
        }

        return $sentences;
    }

    /**
     * @param  Dossier  $dossier
     * @return list<RouteSheet>
     */
    private static function own(array $dossier, ProofStandard $standard, OwnDates $own): array
    {
        $routes = [];
        foreach ($dossier['replay'] as $route) {
            $windows = $own->windows[$route['route']] ?? [];
            if ($windows === []) {
                // Only what was set by hand is; the other way of growing keeps the record's word.
                $routes[] = $route['standards'][$standard->value];

                continue;
            }
            $harvests = array_map(static fn (SowingWindow $w): ?SowingWindow => $w->harvest($route['harvested']), $windows);
            $weeks = $route['route'] === Route::Transplant->value ? $dossier['seedling_days'] : null;
            $routes[] = [
                'windows' => array_map(CropSheet::span(...), $windows),
                'evidence' => [],
                'under_cover' => $weeks === null ? [] : array_map(static fn (SowingWindow $w): array => CropSheet::span($w->shifted(-$weeks)), $windows),
                // One for each window, or none: half a list would go with the wrong dates.
                'harvests' => in_array(null, $harvests, true) ? [] : array_map(CropSheet::span(...), $harvests),
                'derivation' => [['key' => 'own', 'label' => 'Set by '.$own->author.': '.$own->reason, 'date' => null, 'days' => null, 'source' => 'by hand, '.$own->on->sowDay()->inWords().' '.$own->on->year()]],
            ] + $route['standards'][$standard->value];
        }

        return $routes;
    }

    /** @return Ribbon */
    private static function ribbon(OutcomeRibbon $ribbon): array
    {
        $outcomes = [];
        foreach (Outcome::cases() as $outcome) {
            $counts = array_map(static fn (array $day): int => $day[$outcome->code()] ?? 0, $ribbon->counts);
            if (max([0, ...$counts]) > 0) {
                $outcomes[$outcome->value] = $counts;
            }
        }

        return ['years' => $ribbon->yearsOnRecord(), 'outcomes' => $outcomes, 'reliability' => array_map(static fn (float $r): float => round($r, 3), $ribbon->reliability)];
    }
}
