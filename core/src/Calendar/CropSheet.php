<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Caution;
use Anthesis\Crop\Crop;
use Anthesis\Window\DerivationLine;
use Anthesis\Window\ReasonSpan;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;

/**
 * All a calendar says of one crop: what it is, how to sow it, what can hurt, its windows and where they come from.
 *
 * A plain document, ready for JSON. Days of the year are "MM-DD".
 *
 * @phpstan-type Span array{first: string, last: string, days: int}
 * @phpstan-type Line array{key: string, label: string, date: string|null, days: int|null, source: string}
 * @phpstan-type RouteSheet array{route: string, act: string, windows: list<Span>, under_cover: list<Span>, harvests: list<Span>, reasons: list<array{first: string, last: string, reason: string, in_words: string}>, derivation: list<Line>}
 * @phpstan-type Sheet array{slug: string, name: string, latin: string, family: string, kind: string, start: string, depth_cm: float, spacing_cm: float, row_cm: float, notes: string|null, cautions: list<array{code: string, in_words: string}>, school: string, routes: list<RouteSheet>}
 */
final class CropSheet
{
    /**
     * @param  string  $school  by which the windows were reached, `count-back`
     * @param  list<RouteWindows>  $routes
     * @return Sheet
     */
    public static function of(Crop $crop, string $school, array $routes): array
    {
        return [
            'slug' => $crop->slug,
            'name' => $crop->name,
            'latin' => $crop->latin,
            'family' => $crop->family,
            'kind' => $crop->kind,
            'start' => $crop->start,
            'depth_cm' => $crop->depthCm,
            'spacing_cm' => $crop->spacingCm,
            'row_cm' => $crop->rowCm,
            'notes' => $crop->notes,
            'cautions' => array_map(static fn (Caution $c): array => ['code' => $c->value, 'in_words' => $c->inWords()], $crop->cautions),
            'school' => $school,
            'routes' => array_map(static fn (RouteWindows $r): array => self::route($crop, $r), $routes),
        ];
    }

    /** @return RouteSheet */
    private static function route(Crop $crop, RouteWindows $route): array
    {
        return [
            'route' => $route->route->value,
            'act' => $crop->start === 'seed' || $route->underCover !== [] ? $route->route->act() : 'plant',
            'windows' => array_map(self::span(...), $route->windows),
            'under_cover' => array_map(self::span(...), $route->underCover),
            'harvests' => array_map(self::span(...), $route->harvests),
            'reasons' => array_map(static fn (ReasonSpan $s): array => ['first' => $s->first->iso(), 'last' => $s->last->iso(),
                'reason' => $s->reason->value, 'in_words' => $s->reason->inWords()], $route->reasons),
            'derivation' => array_map(static fn (DerivationLine $l): array => ['key' => $l->key, 'label' => $l->label,
                'date' => $l->date?->iso(), 'days' => $l->days, 'source' => $l->source], $route->derivation),
        ];
    }

    /** @return Span */
    private static function span(SowingWindow $window): array
    {
        return ['first' => $window->first->iso(), 'last' => $window->last->iso(), 'days' => $window->days];
    }
}
