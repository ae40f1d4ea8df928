<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/**
 * The pages of an edition. Each takes what it shows from the frozen document, and nothing from anywhere else.
 *
 * @phpstan-import-type Sheet from CropSheet
 */
final class EditionPages
{
    /** Printable calendars. */
    public const SHEETS = ['year', 'wall', 'week', 'crop', 'leaflet'];

    /**
     * @param  string  $base  the address the pages are under, without the reading
     * @return array<string, Page> by address below the base; the calendar's is empty
     */
    public function all(EditionDocument $edition, string $base, Reading $reading): array
    {
        $pages = ['' => $this->calendar($edition, $base, $reading)];
        foreach (range(1, WeekList::WEEKS) as $week) {
            $pages["weeks/{$week}"] = $this->week($edition, $base, $reading, $week);
        }
        foreach ($edition->content['crops'] as $sheet) {
            $pages["crops/{$sheet['slug']}"] = $this->crop($edition, $base, $reading, $sheet);
        }

        return $pages;
    }

    /** @return Page|null null if the edition has no such page */
    public function at(EditionDocument $edition, string $base, Reading $reading, string $path): ?Page
    {
        return $this->all($edition, $base, $reading)[$path] ?? null;
    }

    /**
     * A page of an edition, whatever it shows.
     *
     * @param  string  $path  below the base
     * @param  array<string, mixed>  $props
     * @param  array<string, int|float|string|Phrase>  $words  what fills in title and description
     */
    public function page(
        EditionDocument $edition,
        string $base,
        Reading $reading,
        string $name,
        string $path,
        array $props,
        array $words,
    ): Page {
        $own = $reading->own($edition);
        $said = $reading->words($own);

        return new Page(
            $name,
            self::isInOneReading($edition) ? null : rtrim("{$base}/{$path}", '/'),
            $this->common($edition, $base, $reading) + $props,
            $said->say("page.{$name}.title", $words),
            $said->say("page.{$name}.description", $words),
            "{$reading->prefix()}{$base}/calendar.ics",
            $reading,
            $own,
            $edition->content['languages'] ?? null,
        );
    }

    /** An edition of the first format was published in sentences, and can only be read in those. */
    public static function isInOneReading(EditionDocument $edition): bool
    {
        return $edition->content['format'] !== EditionDocument::FORMAT;
    }

    /** @return list<Reading> those an edition can be read in */
    public static function readings(EditionDocument $edition): array
    {
        return self::isInOneReading($edition) ? [new Reading()] : Reading::in($edition->content['languages'] ?? null);
    }

    /**
     * @return bool whether an edition can be read this way; the demonstration's made-up readings work for every edition but those in
     *   sentences
     */
    public static function isReadAs(EditionDocument $edition, Reading $reading): bool
    {
        return in_array($reading, self::readings($edition), false) ||
            (! self::isInOneReading($edition) && ! in_array($reading, Reading::all(), false));
    }

    public function calendar(EditionDocument $edition, string $base, Reading $reading): Page
    {
        $content = $edition->content;

        return $this->page(
            $edition,
            $base,
            $reading,
            'calendar',
            '',
            [
                'ruler' => $content['ruler'],
                'record' => $content['record'],
                'waits_for_soil' => $content['method']['waits_for_soil'] ?? false,
                'waits_for_ground' => $content['method']['waits_for_ground'] ?? false,
                'changes' => isset($content['changes'])
                    ? ['against' => $content['changes']['against'], 'phrases' => array_column($content['changes']['list'], 'phrase')]
                    : null,
                'track_record' => isset($content['track_record'])
                    ? array_intersect_key($content['track_record'], array_flip(['standard', 'promised', 'kept']))
                    : null,
                'crops' => $this->rows($edition),
            ],
            ['crops' => count($content['crops']), 'zone' => $content['zone']['name'], 'district' => $content['zone']['district']],
        );
    }

    public function week(EditionDocument $edition, string $base, Reading $reading, int $week): Page
    {
        $content = $edition->content['weeks'][$week - 1];
        $cautions = [];
        foreach ($edition->content['crops'] as $sheet) {
            if ($sheet['cautions'] !== [] && in_array($sheet['slug'], array_column($content['tasks'], 'crop'), true)) {
                $cautions[$sheet['slug']] = array_column($sheet['cautions'], 'phrase');
            }
        }
        $first = YearDay::fromNumber(7 * $week - 6);

        return $this->page(
            $edition,
            $base,
            $reading,
            'week',
            "weeks/{$week}",
            [
                'week' => $content,
                'cautions' => (object) $cautions,
                'opens_next' => $content['tasks'] === [] ? $this->opensNext($edition, $week) : [],
                'previous' => $week === 1 ? WeekList::WEEKS : $week - 1,
                'next' => $week === WeekList::WEEKS ? 1 : $week + 1,
                'freezes' => $this->freezes($edition, $first),
            ],
            ['day' => Phrase::day($first), 'zone' => $edition->content['zone']['name']],
        );
    }

    /** @param  Sheet  $sheet */
    public function crop(EditionDocument $edition, string $base, Reading $reading, array $sheet): Page
    {
        return $this->page(
            $edition,
            $base,
            $reading,
            'crop',
            "crops/{$sheet['slug']}",
            [
                'ruler' => $edition->content['ruler'],
                'crop' => $sheet,
            ],
            ['crop' => $sheet['name'], 'zone' => $edition->content['zone']['name']],
        );
    }

    /**
     * The crops a gardener chose, and what to do for them this week.
     *
     * @param  list<string>  $chosen  slugs
     */
    public function mine(EditionDocument $edition, string $base, Reading $reading, array $chosen, YearDay $today): Page
    {
        return $this->page(
            $edition,
            $base,
            $reading,
            'mine',
            'mine'.($chosen === [] ? '' : '?crops='.implode(',', $chosen)),
            [
                'starts' => $edition->content['ruler']['starts'],
                'chosen' => $chosen,
                'crops' => $this->rows($edition, $chosen),
                'all' => array_map(
                    static fn (array $sheet): array => ['slug' => $sheet['slug'], 'name' => $sheet['name']],
                    $edition->content['crops'],
                ),
                'week' => $this->weekOf($edition, $today, $chosen),
                'host' => url(''),
                'papers' => PaperSize::ofSheet('year', $reading),
            ],
            ['zone' => $edition->content['zone']['name']],
        );
    }

    /**
     * A printable calendar.
     *
     * @param  list<string>  $chosen  slugs; empty: all
     * @param  string|null  $crop  slug, for a sheet about one crop
     * @return Page|null null if the edition has no such crop
     */
    public function paper(
        EditionDocument $edition,
        string $base,
        Reading $reading,
        string $sheet,
        PaperSize $size,
        array $chosen,
        ?string $crop,
        YearDay $today,
    ): ?Page {
        $one = array_column($edition->content['crops'], null, 'slug')[$crop ?? ''] ?? null;
        if ($sheet === 'crop' && $one === null) {
            return null;
        }
        $zone = $edition->content['zone']['name'];
        $path = match ($sheet) {
            'crop' => "/crops/{$crop}",
            'week', 'leaflet' => '/this-week',
            default => $chosen === [] ? '' : '/mine?crops='.implode(',', $chosen),
        };

        return $this->page(
            $edition,
            $base,
            $reading,
            'paper',
            "paper/{$sheet}",
            [
                'sheet' => $sheet,
                'size' => $size->value,
                'ruler' => $edition->content['ruler'],
                'crops' => in_array($sheet, ['year', 'wall'], true) ? $this->rows($edition, $chosen === [] ? null : $chosen) : [],
                'week' => $this->weekOf($edition, $today, $chosen === [] ? null : $chosen),
                'crop' => $one,
                'url' => url($reading->prefix().$base.$path),
            ],
            ['zone' => $zone, 'sheet' => self::paperTitle($sheet, $one, $zone, $today)],
        );
    }

    /** @param  array<string, mixed>|null  $crop */
    private static function paperTitle(string $sheet, ?array $crop, string $zone, YearDay $today): Phrase
    {
        return match (true) {
            $crop !== null => Phrase::of('page.crop.title', ['crop' => $crop['name'], 'zone' => $zone]),
            $sheet === 'week' => Phrase::of('page.week.title', [
                'day' => Phrase::day(YearDay::fromNumber(7 * WeekList::weekOf($today) - 6)),
                'zone' => $zone,
            ]),
            default => Phrase::of("sheet.{$sheet}.title", ['zone' => $zone]),
        };
    }

    /** This week, for a frame on another page. */
    public function embed(EditionDocument $edition, string $base, Reading $reading, YearDay $today): Page
    {
        return $this->page(
            $edition,
            $base,
            $reading,
            'embed',
            'embed',
            ['week' => $this->weekOf($edition, $today, null)],
            ['zone' => $edition->content['zone']['name']],
        );
    }

    /**
     * @param  list<string>|null  $chosen  slugs; null: all
     * @return list<array<string, mixed>> crops with their windows, without the evidence
     */
    private function rows(EditionDocument $edition, ?array $chosen = null): array
    {
        return array_values(
            array_map(
                static fn (array $sheet): array => [
                    'slug' => $sheet['slug'],
                    'name' => $sheet['name'],
                    'kind' => $sheet['kind'],
                    'family' => $sheet['family'],
                    'also_called' => $sheet['also_called'] ?? null,
                    'routes' => array_map(self::withoutEvidence(...), $sheet['routes']),
                ],
                array_filter(
                    $edition->content['crops'],
                    static fn (array $sheet): bool => $chosen === null || in_array($sheet['slug'], $chosen, true),
                ),
            ),
        );
    }

    /**
     * @param  list<string>|null  $chosen  slugs; null: all
     * @return array<string, mixed> the week that contains a day, with the tasks of some crops
     */
    private function weekOf(EditionDocument $edition, YearDay $day, ?array $chosen): array
    {
        $week = $edition->content['weeks'][WeekList::weekOf($day) - 1];

        return [
            'tasks' => array_values(
                array_filter($week['tasks'], static fn (array $task): bool => $chosen === null || in_array($task['crop'], $chosen, true)),
            ),
        ] + $week;
    }

    /** @return array<string, mixed> */
    private function common(EditionDocument $edition, string $base, Reading $reading): array
    {
        $content = $edition->content;

        return [
            'base' => $reading->prefix().$base,
            'zone' => array_intersect_key($content['zone'], array_flip(['slug', 'name', 'district', 'hemisphere', 'height_m'])),
            'edition' => $content['edition'] + ['checksum' => $edition->checksum],
            'method_edition' => $content['method']['edition'] ?? 1,
            'lasting' => url("/zones/{$content['zone']['slug']}/editions/{$content['edition']['number']}"),
            'office' => $content['office'] ?? null,
            'guidance' => $content['guidance'],
            'withdrawn' => $edition->notice,
            'first_guess' => $content['ruler']['short_record'] ? EditionDocument::firstGuess($content['ruler']['seasons']) : null,
        ];
    }

    /**
     * @return list<array{crop: string, name: string, act: string, opens: string, week: int}> what opens in the next week in which something does
     */
    private function opensNext(EditionDocument $edition, int $week): array
    {
        for ($i = 1; $i < WeekList::WEEKS; $i++) {
            $next = $edition->content['weeks'][($week - 1 + $i) % WeekList::WEEKS];
            $opening = array_filter($next['tasks'], static fn (array $task): bool => $task['opening']);
            if ($opening !== []) {
                return array_values(
                    array_map(
                        static fn (array $t): array => array_intersect_key($t, array_flip(['crop', 'name', 'act', 'opens'])) + [
                            'week' => $next['week'],
                        ],
                        $opening,
                    ),
                );
            }
        }

        return [];
    }

    /**
     * @return array{starts: string, seasons: int, to_come: int, has_come: int} seasons with another freeze after the day, or with one by
     *   then
     */
    private function freezes(EditionDocument $edition, YearDay $day): array
    {
        $ruler = $edition->content['ruler'];

        return [
            'starts' => $ruler['starts'],
            'seasons' => $ruler['seasons'],
            'to_come' => $ruler['freeze_to_come'][$day->number - 1],
            'has_come' => $ruler['freeze_has_come'][$day->number - 1],
        ];
    }

    /**
     * @param  array<string, mixed>  $route
     * @return array<string, mixed>
     */
    private static function withoutEvidence(array $route): array
    {
        return array_diff_key($route, ['derivation' => true, 'reasons' => true, 'evidence' => true, 'no_window' => true, 'again' => true]);
    }
}
