<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\YearDay;
use Anthesis\Window\Reason;
use Anthesis\Window\School\OwnDates;
use Anthesis\Words\Phrase;

/**
 * How an edition differs from the one before it: ways of growing that opened, closed, or moved, crops that are new or gone, and why. What
 * stays the same is left out.
 *
 * @phpstan-import-type Document from EditionDocument
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type RouteSheet from CropSheet
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type Words from Phrase
 *
 * - `size`: days by which it moved; what opened, closed, is new, or is gone counts as a year, so it comes first. `why`: keys of the inputs
 *   that differ: own-dates, school, crop-numbers, record, method; and soil-hold or ground-hold, if windows now wait for warm soil or
 *   workable ground and did not before, or the other way around, and that is what bounds them
 *
 * @phpstan-type Change array{crop: string, name: string, route: string|null, act: string|null, kind: string, size: int, before: list<Span>, now: list<Span>, why: list<string>, phrase: Words}
 */
final class EditionDifference
{
    /** What windows may wait for: the zone's choice, how a derivation says it, and why there is no window. */
    private const HOLDS = [
        'soil-hold' => ['choice' => 'waits_for_soil', 'source' => 'source.held-', 'reason' => Reason::SoilBelowMinimum],
        'ground-hold' => ['choice' => 'waits_for_ground', 'source' => 'source.wet-', 'reason' => Reason::WetGround],
    ];

    public const NEW = 'new';

    public const GONE = 'gone';

    public const OPENED = 'opened';

    public const CLOSED = 'closed';

    public const MOVED = 'moved';

    /**
     * @param  Document  $before
     * @param  Document  $now
     * @return list<Change> largest first, then by the crop's name
     */
    public static function between(array $before, array $now): array
    {
        $old = array_column($before['crops'], null, 'slug');
        $new = array_column($now['crops'], null, 'slug');
        $changes = [];
        foreach ($new as $slug => $sheet) {
            if (! isset($old[$slug])) {
                $changes[] = self::ofCrop($sheet, self::NEW);

                continue;
            }
            $why = self::why($before, $now, $old[$slug], $sheet);
            foreach ($sheet['routes'] as $route) {
                $was = array_column($old[$slug]['routes'], null, 'route')[$route['route']]['windows'] ?? [];
                if ($was !== $route['windows']) {
                    $earlier = array_column($old[$slug]['routes'], null, 'route')[$route['route']] ?? null;
                    $holds = array_filter(self::HOLDS, static function (array $hold) use ($before, $now, $route, $earlier): bool {
                        $held = self::isHeld($route, $hold) || ($earlier !== null && self::isHeld($earlier, $hold));

                        return $held && self::waitsOtherwise($before, $now, $hold['choice']);
                    });
                    $changes[] = self::ofRoute($sheet, $route, $was, [...$why, ...array_keys($holds)]);
                }
            }
        }
        foreach (array_diff_key($old, $new) as $sheet) {
            $changes[] = self::ofCrop($sheet, self::GONE);
        }
        usort(
            $changes,
            static fn (array $a, array $b): int => [$b['size'], $a['name'], $a['route']] <=> [$a['size'], $b['name'], $b['route']],
        );

        return $changes;
    }

    /**
     * @param  Sheet  $sheet
     * @return Change
     */
    private static function ofCrop(array $sheet, string $kind): array
    {
        return [
            'crop' => $sheet['slug'],
            'name' => $sheet['name'],
            'route' => null,
            'act' => null,
            'kind' => $kind,
            'size' => YearDay::YEAR,
            'before' => [],
            'now' => [],
            'why' => [],
            'phrase' => Phrase::of("change.{$kind}", ['crop' => $sheet['name']])->toArray(),
        ];
    }

    /**
     * @param  Sheet  $sheet
     * @param  RouteSheet  $route
     * @param  list<Span>  $was
     * @param  list<string>  $why
     * @return Change
     */
    private static function ofRoute(array $sheet, array $route, array $was, array $why): array
    {
        $now = $route['windows'];
        $kind = match (true) {
            $was === [] => self::OPENED,
            $now === [] => self::CLOSED,
            default => self::MOVED,
        };
        $words =
            ['crop' => $sheet['name'], 'act' => Phrase::of("act.{$route['act']}")] +
            match ($kind) {
                self::OPENED => ['windows' => self::spans($now)],
                self::CLOSED => ['windows' => self::spans($was)],
                default => [
                    'windows' => self::spans($now),
                    'difference' => WindowDifference::phrase($now, $was, Phrase::of('change.before')) ?? Phrase::of('difference.same'),
                ],
            };
        $between = WindowDifference::between($now, $was);
        // Windows that start and end on the same days differ in between: one was cut in two, or two grew together.
        if ($kind === self::MOVED && $between === ['opens' => 0, 'closes' => 0]) {
            $words['difference'] = Phrase::of('change.in-between');
        }

        return [
            'crop' => $sheet['slug'],
            'name' => $sheet['name'],
            'route' => $route['route'],
            'act' => $route['act'],
            'kind' => $kind,
            'size' => $kind === self::MOVED ? self::size($was, $now, $between) : YearDay::YEAR,
            'before' => $was,
            'now' => $now,
            'why' => $why,
            'phrase' => Phrase::of("change.{$kind}", $words)->toArray(),
        ];
    }

    /**
     * @param  list<Span>  $was
     * @param  list<Span>  $now
     * @param  array{opens: int, closes: int}|null  $between
     * @return int days: the larger of its shifts, or the number of days by which it is open more or less
     */
    private static function size(array $was, array $now, ?array $between): int
    {
        $open = abs(array_sum(array_column($now, 'days')) - array_sum(array_column($was, 'days')));

        return max(1, $open, abs($between['opens'] ?? 0), abs($between['closes'] ?? 0));
    }

    /**
     * @param  Document  $before
     * @param  Document  $now
     * @param  Sheet  $old
     * @param  Sheet  $new
     * @return list<string>
     */
    private static function why(array $before, array $now, array $old, array $new): array
    {
        if ($old['school'] !== $new['school']) {
            return [in_array(OwnDates::KEY, [$old['school'], $new['school']], true) ? 'own-dates' : 'school'];
        }
        if ($new['school'] === OwnDates::KEY) {
            return ['own-dates'];
        }
        $numbers = [$before['crop_numbers'][$old['slug']] ?? null, $now['crop_numbers'][$new['slug']] ?? null];

        return array_keys(
            array_filter([
                'crop-numbers' => ! in_array(null, $numbers, true) && $numbers[0] !== $numbers[1],
                'record' => $before['record']['checksum'] !== $now['record']['checksum'],
                'method' => $before['method'] != $now['method'],
            ]),
        );
    }

    /**
     * @param  Document  $before
     * @param  Document  $now
     */
    private static function waitsOtherwise(array $before, array $now, string $choice): bool
    {
        return ($before['method'][$choice] ?? false) !== ($now['method'][$choice] ?? false);
    }

    /**
     * Whether what windows wait for is what bounds a window, or leaves none.
     *
     * @param  RouteSheet  $route
     * @param  array{choice: string, source: string, reason: Reason}  $hold
     */
    private static function isHeld(array $route, array $hold): bool
    {
        foreach ($route['derivation'] as $line) {
            if (str_starts_with($line['source']['key'], $hold['source'])) {
                return true;
            }
        }

        return ($route['no_window']['reason'] ?? null) === $hold['reason']->value;
    }

    /** @param  list<Span>  $spans */
    private static function spans(array $spans): Phrase
    {
        $told = array_map(
            static fn (array $s): Phrase => $s['days'] >= YearDay::YEAR
                ? Phrase::of('span.all-year')
                : Phrase::of('span', [
                    'first' => Phrase::day(YearDay::fromIso($s['first'])),
                    'last' => Phrase::day(YearDay::fromIso($s['last'])),
                ]),
            $spans,
        );
        $last = array_pop($told) ?? Phrase::of('difference.no-window');

        return $told === []
            ? $last
            : array_reduce(
                array_reverse($told),
                static fn (Phrase $rest, Phrase $span): Phrase => Phrase::of('change.and', ['first' => $span, 'rest' => $rest]),
                $last,
            );
    }
}
