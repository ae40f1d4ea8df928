<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\TodaySheet;
use Anthesis\Calendar\WeekList;
use Anthesis\Record\Day;
use App\Advisories\Advisory;
use App\Editions\Edition;
use App\Languages\Translation;
use App\Operations\Seal;
use App\Season\ZoneToday;
use App\Season\ZoneWater;
use App\Zones\Zone;
use Illuminate\Support\Facades\File;

/**
 * "This week" of the current edition, with what this season is like and its advisories: a file made again when the day, the weather, or an
 * advisory changes, beside the edition's own pages, which stay as they are.
 *
 *     {zone}/{number}/season/{day}-{key}/{reading}/index.html      in every reading, and what they are sealed with, seal.json
 *     {zone}/{number}/now/{reading}/this-week                      link to it; to weeks/{n} until it is there
 *
 * @phpstan-import-type Sheet from TodaySheet
 */
final class SeasonPage
{
    private const KEY_LENGTH = 12;

    /** Threshold of the freezes that are mentioned: light ones. */
    private const LIGHT = 0;

    public function __construct(
        private readonly EditionPages $pages,
        private readonly PageRenderer $renderer,
        private readonly ZoneToday $today,
        private readonly ZoneWater $water,
    ) {
    }

    /** Whether the page differs from what it would be if it were made now. */
    public function isBehind(Zone $zone): bool
    {
        $edition = $zone->currentEdition;

        return $edition !== null &&
            is_dir(PublicSite::folder($zone->slug, $edition->number).'/now') &&
            ! is_dir($this->folder($zone, $edition, $zone->today()));
    }

    /** Makes the page, if it is out of date, and makes "this week" lead to it. */
    public function turn(Zone $zone): void
    {
        $edition = $zone->currentEdition;
        if ($edition === null || ! $this->isBehind($zone)) {
            return;
        }
        $day = $zone->today();
        $folder = $this->folder($zone, $edition, $day);
        $document = $edition->open();
        $building = "{$folder}.building";
        File::deleteDirectory($building);
        $pages = [];
        $told = $this->today->told($zone, $day);
        $season = $told === null
            ? null
            : self::season($told['sheet'], $told['record_ends'], $told['outlook']['source'] ?? null) + $this->water->of($zone, $day)
                + ['water_rules' => $zone->office->waterRulesOn($day)];
        foreach (EditionPages::readings($document) as $reading) {
            $pages[ltrim("{$reading->prefix()}/index.html", '/')] = $this->page($zone, $document, $day, $season, $reading);
        }
        $kept = [];
        foreach ($this->renderer->render($pages) as $file => $html) {
            $kept[$file] = PublicSite::keep("{$building}/{$file}", $html);
        }
        File::put(
            "{$building}/seal.json",
            json_encode(
                ['pages' => $kept, 'seal' => Seal::of(...self::sealedParts($edition, basename($folder), $kept))],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
            ),
        );
        rename($building, $folder);
        foreach (PublicSite::weekLinks(PublicSite::folder($zone->slug, $edition->number)) as $link => $reading) {
            PublicSite::link($link, ($reading->name() === '' ? '' : '../').'../season/'.basename($folder).$reading->prefix());
        }
        foreach (array_diff(File::directories(dirname($folder)), [$folder]) as $old) {
            File::deleteDirectory($old);
        }
    }

    /** Whether a page that is there differs from what was made. */
    public static function isChanged(Edition $edition): bool
    {
        foreach (glob(PublicSite::folder($edition->zone->slug, $edition->number).'/season/*', GLOB_ONLYDIR) ?: [] as $folder) {
            $kept = json_decode((string) @file_get_contents("{$folder}/seal.json"), true);
            $pages = is_array($kept) && is_array($kept['pages'] ?? null) ? $kept['pages'] : [];
            if ($pages === [] || ! Seal::holds((string) ($kept['seal'] ?? ''), ...self::sealedParts($edition, basename($folder), $pages))) {
                return true;
            }
            foreach ($pages as $file => $hash) {
                if (
                    ! is_file("{$folder}/{$file}") ||
                    hash_file('sha256', "{$folder}/{$file}") !== $hash ||
                    hash('sha256', (string) @gzdecode((string) @file_get_contents("{$folder}/{$file}.gz"))) !== $hash
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Removes a zone's page: "this week" leads to the edition's own. */
    public static function takeAway(Edition $edition): void
    {
        $folder = PublicSite::folder($edition->zone->slug, $edition->number);
        if (is_dir("{$folder}/now")) {
            PublicSite::weekLink($folder, $edition->zone->today());
        }
        File::deleteDirectory("{$folder}/season");
    }

    /** @param  array<string, mixed>|null  $season */
    private function page(Zone $zone, EditionDocument $document, Day $day, ?array $season, Reading $reading): Page
    {
        $base = PublishedEdition::base($zone, null);
        $week = $this->pages->week($document, $base, $reading, WeekList::weekOf($day->yearDay()));
        $advisories = Advisory::shown($zone, $day)->get();
        $texts = $advisories->flatMap(static fn (Advisory $a): array => $a->texts())->all();

        return new Page(
            $week->name,
            "{$base}/this-week",
            [
                'on' => $day->iso(),
                'season' => $season,
                'advisories' => array_values($advisories->map(static fn (Advisory $a): array => $a->told())->all()),
            ] + $week->props,
            $week->title,
            $week->description,
            $week->feed,
            $reading,
            $week->own + Translation::of($reading->language, $texts),
        );
    }

    /**
     * @param  Sheet  $sheet
     * @return array<string, mixed>
     */
    private static function season(array $sheet, string $recordEnds, ?string $outlook): array
    {
        $acts = [];
        foreach ($sheet['acts'] as $act) {
            $acts["{$act['crop']}.{$act['act']}"] = [
                'pile' => $act['pile'],
                'until' => $act['until'],
                'harvests' => $act['harvests'],
                'of' => $act['of'],
            ];
        }

        return [
            'on' => $sheet['on'],
            'record_ends' => $recordEnds,
            'outlook' => $outlook,
            'members' => count($sheet['members']),
            'position' => $sheet['position'],
            'freezes' => $sheet['freezes'] === null
                    ? null
                    : [
                        'side' => $sheet['freezes']['side'],
                        'of' => $sheet['freezes']['of'],
                        'members' => $sheet['freezes']['thresholds'][self::LIGHT]['members'][0],
                    ],
            'ready' => $sheet['soil']['ready'] ?? [],
            'nights' => $sheet['nights'],
            'acts' => (object) $acts,
        ];
    }

    private function folder(Zone $zone, Edition $edition, Day $day): string
    {
        $advisories = Advisory::shown($zone, $day)
            ->get()
            ->map(
                static fn (Advisory $a): array => [
                    $a->id,
                    $a->withdrawn_on?->format('Y-m-d'),
                    array_map(static fn (string $language): array => Translation::of($language, $a->texts()), Translation::languages()),
                ],
            )
            ->all();
        $key = hash(
            'sha256',
            json_encode(
                [
                    $this->renderer->program(),
                    $edition->checksum,
                    $zone->input_revision,
                    $zone->currentComputation?->ruler_hash,
                    $advisories,
                    $zone->office->waterRulesOn($day),
                ],
                JSON_THROW_ON_ERROR,
            ),
        );

        return PublicSite::folder($zone->slug, $edition->number)."/season/{$day->iso()}-".substr($key, 0, self::KEY_LENGTH);
    }

    /**
     * @param  array<string, string>  $pages  fingerprints by file
     * @return list<string>
     */
    private static function sealedParts(Edition $edition, string $name, array $pages): array
    {
        return ['season', $edition->checksum, $name, json_encode($pages, JSON_THROW_ON_ERROR)];
    }
}
