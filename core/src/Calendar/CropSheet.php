<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Caution;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Crop\Seed;
use Anthesis\Record\YearDay;
use Anthesis\Succession\EvenSupply;
use Anthesis\Succession\HarvestDays;
use Anthesis\Succession\SuccessionSowing;
use Anthesis\Window\DerivationLine;
use Anthesis\Window\FairChance;
use Anthesis\Window\NoWindow;
use Anthesis\Window\Reason;
use Anthesis\Window\ReasonSpan;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowEvidence;
use Anthesis\Words\Phrase;

/**
 * Everything a calendar says about one crop: what it is, how to plant it, what can hurt people, its windows, and where they come from.
 *
 * A plain document, ready for JSON. Days of the year are "MM-DD".
 *
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type SeedSheet array{per_station: int, thinned_to: int, germination: float, per_gram: float|null}
 * @phpstan-type CutSheet array{stems_per_plant: float, branches: bool, vase_days: int|null, at: string|null}
 * @phpstan-type Span array{first: string, last: string, days: int}
 * @phpstan-type Line array{key: string, label: Words, date: string|null, days: int|null, source: Words}
 * - `again`: for a crop that is sown more than once, the plantings in its windows whose harvests follow one another, each with the first
 *   and last day of its harvest; empty if one is enough
 * - `fair`: days of at least a fair chance; `chances`: those of them apart from the windows, with the years in ten that came to harvest;
 *   `no_window`: why there is none, and what would open one, null if there is one, or no record to tell from; `evidence`: one for each
 *   window, with first harvests (10, 50, 90% of the years) of a planting on its first and on its last day; both empty when counting back
 * @phpstan-type Evidence array{best: string, span: Span|null, harvests: int, years: int, slack: int, from_first: list<string>|null, from_last: list<string>|null, water?: array<string, mixed>}
 *   `evidence.water`: of a sowing on its best day, where rain is on record
 * @phpstan-type Chance array{first: string, last: string, days: int, of_ten: int}
 * @phpstan-type Missing array{nearest: string, harvests: int, years: int, reason: string|null, longest_days: int|null, opened_by: list<array{site: string, windows: list<Span>}>, phrases: list<Words>}
 * @phpstan-type Again array{on: string, first: string, last: string}
 * @phpstan-type RouteSheet array{route: string, act: string, windows: list<Span>, fair: list<Span>, evidence: list<Evidence>, chances?: list<Chance>, no_window?: Missing|null, under_cover: list<Span>, harvests: list<Span>, again?: list<Again>, reasons: list<array{first: string, last: string, reason: string, phrase: Words}>, derivation: list<Line>}
 * @phpstan-type VarietyRoute array{route: string, act: string, windows: list<Span>, best: list<Span>, chances: list<Chance>, under_cover: list<Span>, harvests: list<Span>}
 * @phpstan-type VarietySheet array{name: string, days: float, basis: string, tags: list<string>, routes: list<VarietyRoute>}
 * @phpstan-type Identity array{slug: string, name: string, latin: string, family: string, kind: string, start: string, depth_cm: float, spacing_cm: float, row_cm: float, notes: string|null, also_called?: string|null, per_square_foot?: float|null, seed?: SeedSheet|null, cut?: CutSheet|null, cautions: list<array{code: string, phrase: Words}>}
 * @phpstan-type Sheet array{slug: string, name: string, latin: string, family: string, kind: string, start: string, depth_cm: float, spacing_cm: float, row_cm: float, notes: string|null, also_called?: string|null, per_square_foot?: float|null, seed?: SeedSheet|null, cut?: CutSheet|null, cautions: list<array{code: string, phrase: Words}>, school: string, routes: list<RouteSheet>, varieties?: list<VarietySheet>}
 */
final class CropSheet
{
    /**
     * @param  string  $school  key of the School by which the windows were reached
     * @param  list<RouteWindows>  $routes
     * @return Sheet
     */
    public static function of(Crop $crop, string $school, array $routes): array
    {
        return ['school' => $school, 'routes' => self::routes($crop, $routes), 'varieties' => []] + self::identity($crop);
    }

    /** @return Identity */
    public static function identity(Crop $crop): array
    {
        return [
            'slug' => $crop->slug,
            'name' => $crop->name,
            'latin' => $crop->latin,
            'family' => $crop->family,
            'kind' => $crop->kind,
            'start' => $crop->start,
            'depth_cm' => $crop->spacing->depthCm,
            'spacing_cm' => $crop->spacing->spacingCm,
            'row_cm' => $crop->spacing->rowCm,
            'notes' => $crop->notes,
            'also_called' => $crop->alsoCalled,
            'per_square_foot' => $crop->spacing->perSquareFoot,
            'seed' => self::seed($crop->seed),
            'cut' => $crop->cut === null
                    ? null
                    : [
                        'stems_per_plant' => $crop->cut->stemsPerPlant,
                        'branches' => $crop->cut->branches,
                        'vase_days' => $crop->cut->vaseDays,
                        'at' => $crop->cut->cutAt,
                    ],
            'cautions' => array_map(
                static fn (Caution $c): array => ['code' => $c->value, 'phrase' => Phrase::of("caution.{$c->value}")->toArray()],
                $crop->cautions,
            ),
        ];
    }

    /** @return SeedSheet|null null: not counted in seeds */
    private static function seed(?Seed $seed): ?array
    {
        return $seed?->germination === null
            ? null
            : [
                'per_station' => $seed->perStation,
                'thinned_to' => $seed->thinnedTo,
                'germination' => $seed->germination,
                'per_gram' => $seed->perGram,
            ];
    }

    /**
     * When to sow again for an even supply.
     *
     * @param  list<Span>  $windows  in their order
     * @param  list<array{int, int}|null>  $usual  length 365: days from sow day i+1 to its typical first harvest, and days of harvest;
     *   null: never harvested
     * @return list<Again> empty if one sowing is enough
     */
    public static function again(array $windows, array $usual): array
    {
        if ($windows === []) {
            return [];
        }
        $own = array_map(
            static fn (array $w): SowingWindow => new SowingWindow(YearDay::fromIso($w['first']), YearDay::fromIso($w['last'])),
            $windows,
        );
        $from = $own[0]->first;
        $until = max(array_map(static fn (SowingWindow $w): int => $from->daysUntil($w->first) + $w->days - 1, $own));
        $days = array_filter(array_combine(range(1, YearDay::YEAR), $usual));
        $sowings = EvenSupply::of(HarvestDays::inWindows($days, $own), $from, min($until, YearDay::YEAR - 1), 1.0);

        return count($sowings) < 2
            ? []
            : array_map(
                static fn (SuccessionSowing $s): array => [
                    'on' => $s->on->iso(),
                    'first' => $from->plus($s->first)->iso(),
                    'last' => $from->plus($s->last)->iso(),
                ],
                $sowings,
            );
    }

    /**
     * @param  list<RouteWindows>  $routes
     * @return list<RouteSheet>
     */
    public static function routes(Crop $crop, array $routes): array
    {
        return array_map(static fn (RouteWindows $r): array => self::route($crop, $r), $routes);
    }

    /**
     * The dates of a variety, without what they come from.
     *
     * @param  list<RouteWindows>  $routes
     * @return list<VarietyRoute>
     */
    public static function varietyRoutes(Crop $crop, array $routes): array
    {
        return array_map(
            static fn (RouteWindows $r): array => [
                'route' => $r->route->value,
                'act' => $crop->act($r->route)->value,
                'windows' => array_map(self::span(...), $r->windows),
                'best' => array_map(static fn (WindowEvidence $e): array => self::span($e->span), $r->evidence),
                'chances' => array_map(self::chance(...), $r->chances),
                'under_cover' => array_map(self::span(...), $r->underCover),
                'harvests' => array_map(self::span(...), $r->harvests),
            ],
            $routes,
        );
    }

    /** @return RouteSheet */
    private static function route(Crop $crop, RouteWindows $route): array
    {
        return [
            'route' => $route->route->value,
            'act' => $crop->act($route->route)->value,
            'windows' => array_map(self::span(...), $route->windows),
            'fair' => array_map(self::span(...), $route->fair),
            'evidence' => array_map(self::evidence(...), $route->evidence),
            'chances' => array_map(self::chance(...), $route->chances),
            'no_window' => $route->noWindow === null ? null : self::noWindow($route->noWindow),
            'under_cover' => array_map(self::span(...), $route->underCover),
            'harvests' => array_map(self::span(...), $route->harvests),
            'reasons' => array_map(
                static fn (ReasonSpan $s): array => [
                    'first' => $s->first->iso(),
                    'last' => $s->last->iso(),
                    'reason' => $s->reason->value,
                    'phrase' => Phrase::of(($s->reason instanceof Reason ? 'reason' : 'outcome').".{$s->reason->value}")->toArray(),
                ],
                $route->reasons,
            ),
            'derivation' => array_map(
                static fn (DerivationLine $l): array => [
                    'key' => $l->key,
                    'label' => $l->label->toArray(),
                    'date' => $l->date?->iso(),
                    'days' => $l->days,
                    'source' => $l->source->toArray(),
                ],
                $route->derivation,
            ),
        ];
    }

    /** @return Chance */
    private static function chance(FairChance $chance): array
    {
        return self::span($chance->days) + ['of_ten' => $chance->ofTen];
    }

    /** @return Missing */
    private static function noWindow(NoWindow $none): array
    {
        $openedBy = [];
        foreach ($none->openedBy as $site => $windows) {
            $openedBy[] = ['site' => $site, 'windows' => array_map(self::span(...), $windows)];
        }

        return [
            'nearest' => $none->nearest->iso(),
            'harvests' => $none->harvests,
            'years' => $none->years,
            'reason' => $none->reason?->value,
            'longest_days' => $none->longestDays,
            'opened_by' => $openedBy,
            'phrases' => array_map(static fn (Phrase $p): array => $p->toArray(), $none->phrases()),
        ];
    }

    /** @return Evidence */
    private static function evidence(WindowEvidence $evidence): array
    {
        return [
            'best' => $evidence->best->iso(),
            'span' => self::span($evidence->span),
            'harvests' => $evidence->harvests,
            'years' => $evidence->years,
            'slack' => $evidence->slackDays,
            'from_first' => self::dates($evidence->fromFirst),
            'from_last' => self::dates($evidence->fromLast),
        ];
    }

    /**
     * @param  array{YearDay, YearDay, YearDay}|null  $days
     * @return list<string>|null
     */
    private static function dates(?array $days): ?array
    {
        return $days === null ? null : [$days[0]->iso(), $days[1]->iso(), $days[2]->iso()];
    }

    /** @return Span */
    public static function span(SowingWindow $window): array
    {
        return ['first' => $window->first->iso(), 'last' => $window->last->iso(), 'days' => $window->days];
    }
}
