<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Record\YearDay;
use Anthesis\Tables\CsvText;
use App\Editions\Edition;
use App\Office\Office;
use App\Operations\OpenSeal;
use App\Zones\Settlement;
use App\Zones\Zone;
use App\Zones\ZoneBoundary;
use Illuminate\Support\Collection;

/**
 * The content of the calendars, as data for anyone: tables with the same columns as JSON and as CSV, and what each column means. Units are
 * metric, days of the year MM-DD, names as they were written. The shape of a version stays; additions are listed in the dictionary.
 *
 * @phpstan-type Row array<string, string|int|float|bool|null>
 */
final class OpenData
{
    public const VERSION = 'v1';

    /** Tables of all zones, and tables of one. */
    public const TABLES = ['zones', 'editions', 'dictionary'];

    public const ZONE_TABLES = ['windows', 'evidence', 'normals', 'method', 'verification'];

    /**
     * @param  Office|null  $office  null: of every office
     * @return array<string, mixed> where everything is, and under which license
     */
    public function index(?Office $office = null): array
    {
        $zones = PublicSite::zones();
        $offices = $zones->pluck('office')->unique('id')->values();
        $office ??= $offices->count() === 1 ? $offices->first() : null;
        $at = static fn (string $path): string => url('/open/'.self::VERSION."/{$path}");
        $tables = static fn (array $names, string $in): array => array_combine(
            $names,
            array_map(static fn (string $t): array => ['json' => $at("{$in}{$t}.json"), 'csv' => $at("{$in}{$t}.csv")], $names),
        );

        return [
            'version' => self::VERSION,
            // If there are several offices, each zone names its own.
            'office' => $office?->name,
            'licence' => $office?->licence,
            'offices' => array_map(
                static fn (Office $o): array => [
                    'office' => $o->slug,
                    'name' => $o->name,
                    'licence' => $o->licence,
                    'index' => $at("offices/{$o->slug}/index.json"),
                ],
                array_values($offices->all()),
            ),
            'tables' => $tables(self::TABLES, ''),
            'boundaries' => $at('zones.geojson'),
            'seal_key' => OpenSeal::key(),
            'check' => $at('check-edition.txt'),
            'zones' => array_values(
                $zones
                    ->when($office !== null, static fn (Collection $z): Collection => $z->where('office_id', $office?->id))
                    ->map(
                        static fn (Zone $z): array => ['zone' => $z->slug, 'tables' => $tables(self::ZONE_TABLES, "zones/{$z->slug}/")],
                    )
                    ->all(),
            ),
        ];
    }

    /** @return list<Row> */
    public function table(string $table): array
    {
        return match ($table) {
            'zones' => $this->zones(),
            'editions' => $this->editions(),
            default => $this->dictionary(),
        };
    }

    /** @return list<Row> for the current edition of a zone */
    public function zoneTable(Zone $zone, string $table): array
    {
        $document = PublishedEdition::find($zone, null)->open();
        // A withdrawn edition has nothing left to act on; `editions` says that it was withdrawn, and why.
        if ($document->notice !== null && in_array($table, ['windows', 'evidence', 'verification'], true)) {
            return [];
        }

        return match ($table) {
            'windows' => self::windows($document),
            'evidence' => self::evidence($document),
            'normals' => self::normals($document),
            'verification' => self::verification($document),
            default => self::method($document),
        };
    }

    /** @return array<string, mixed> boundaries if there are any, otherwise positions: GeoJSON */
    public function boundaries(): array
    {
        $boundaries = ZoneBoundary::byZone();

        return [
            'type' => 'FeatureCollection',
            'features' => array_values(
                PublicSite::zones()
                    ->map(
                        static fn (Zone $z): array => [
                            'type' => 'Feature',
                            'id' => $z->slug,
                            'geometry' => isset($boundaries[$z->id])
                                ? $boundaries[$z->id]->toGeoJson()
                                : ['type' => 'Point', 'coordinates' => [$z->longitude, $z->latitude]],
                            'properties' => [
                                'zone' => $z->slug,
                                'name' => $z->name,
                                'district' => $z->district,
                                'height_m' => $z->height_m,
                            ],
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /** @param  list<Row>  $rows */
    public static function csv(array $rows): string
    {
        return CsvText::of([
            ...$rows === [] ? [] : [array_keys($rows[0])],
            ...array_map(
                static fn (array $row): array => array_map(
                    static fn (string|int|float|bool|null $cell): string|int|float => is_bool($cell) ? (int) $cell : $cell ?? '',
                    array_values($row),
                ),
                $rows,
            ),
        ]);
    }

    /** @return string how to cite an edition, so it can be found again and recognized */
    public static function citation(Edition $edition): string
    {
        $office = $edition->zone->office->name;

        return ($office === '' ? '' : "{$office}: ").
            "Planting calendar, {$edition->zone->name}. Edition {$edition->number}, {$edition->published_on->format('Y-m-d')}. ".
            url("/zones/{$edition->zone->slug}/editions/{$edition->number}").
            ". SHA-256 {$edition->checksum}.";
    }

    /** @return list<Row> */
    private function zones(): array
    {
        return array_values(
            PublicSite::zones()
                ->map(
                    static fn (Zone $z): array => [
                        'zone' => $z->slug,
                        'office' => $z->office->slug,
                        'name' => $z->name,
                        'district' => $z->district,
                        'latitude' => $z->latitude,
                        'longitude' => $z->longitude,
                        'height_m' => $z->height_m,
                        'settlements' => $z->settlements
                            ->map(static fn (Settlement $s): string => trim("{$s->name} {$s->postcode}"))
                            ->implode('; '),
                        'edition' => $z->currentEdition?->number,
                        'url' => url("/zones/{$z->slug}"),
                    ],
                )
                ->all(),
        );
    }

    /** @return list<Row> */
    private function editions(): array
    {
        $rows = [];
        foreach (
            Edition::query()
                ->select([...Edition::TOLD, 'seal'])
                ->with('zone.office')
                ->whereNotNull('in_force_at')
                ->orderBy('zone_id')
                ->orderBy('number')
                ->get() as $edition
        ) {
            $parts = [
                $edition->zone->slug,
                (string) $edition->number,
                $edition->published_on->format('Y-m-d'),
                $edition->published_by,
                $edition->note,
                $edition->checksum,
            ];
            $rows[] = [
                'zone' => $edition->zone->slug,
                'edition' => $edition->number,
                'published_on' => $parts[2],
                'published_by' => $edition->published_by,
                'signed_by' => $edition->signed_by,
                'note' => $edition->note,
                'withdrawn_on' => $edition->withdrawn_on?->format('Y-m-d'),
                'withdrawn_why' => $edition->withdrawn_why,
                'document' => url("/zones/{$edition->zone->slug}/editions/{$edition->number}/calendar.json"),
                'sha256' => $edition->checksum,
                'signature' => OpenSeal::of(...$parts),
                'citation' => self::citation($edition),
            ];
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function windows(EditionDocument $edition): array
    {
        $rows = [];
        foreach ($edition->content['crops'] as $sheet) {
            foreach ($sheet['routes'] as $route) {
                foreach (WeekList::dates($route) as $i => $span) {
                    $rows[] = self::of($edition) + [
                        'crop' => $sheet['slug'],
                        'name' => $sheet['name'],
                        'latin' => $sheet['latin'],
                        'family' => $sheet['family'],
                        'route' => $route['route'],
                        'act' => $route['act'],
                        'first' => $span['first'],
                        'last' => $span['last'],
                        'days' => $span['days'],
                        'fair_chance_of_ten' => $span['of_ten'] ?? null,
                        'under_cover_first' => $route['under_cover'][$i]['first'] ?? null,
                        'under_cover_last' => $route['under_cover'][$i]['last'] ?? null,
                        'harvest_first' => $route['harvests'][$i]['first'] ?? null,
                        'harvest_last' => $route['harvests'][$i]['last'] ?? null,
                        'school' => $sheet['school'],
                    ];
                }
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function evidence(EditionDocument $edition): array
    {
        $rows = [];
        foreach ($edition->content['crops'] as $sheet) {
            foreach ($sheet['routes'] as $route) {
                foreach ($route['evidence'] as $i => $e) {
                    $rows[] = self::of($edition) + [
                        'crop' => $sheet['slug'],
                        'route' => $route['route'],
                        'window' => $i + 1,
                        'best_day' => $e['best'],
                        'best_first' => $e['span']['first'] ?? null,
                        'best_last' => $e['span']['last'] ?? null,
                        'harvests' => $e['harvests'],
                        'years' => $e['years'],
                        'slack_days' => $e['slack'],
                        'from_first_10' => $e['from_first'][0] ?? null,
                        'from_first_50' => $e['from_first'][1] ?? null,
                        'from_first_90' => $e['from_first'][2] ?? null,
                        'from_last_10' => $e['from_last'][0] ?? null,
                        'from_last_50' => $e['from_last'][1] ?? null,
                        'from_last_90' => $e['from_last'][2] ?? null,
                    ];
                }
            }
        }

        return $rows;
    }

    /**
     * @return list<Row> what windows promised and kept, judged by the years they were not made from; empty for editions from before this
     *   was published
     */
    private static function verification(EditionDocument $edition): array
    {
        $told = $edition->content['track_record'] ?? null;

        return array_map(
            static fn (array $row): array => self::of($edition) + [
                'standard' => $told['standard'] ?? '',
                'crop' => $row['crop'],
                'route' => $row['route'],
                'plantings' => $row['runs'],
                'harvests' => $row['harvests'],
                'promised' => $row['promised'],
                'kept' => round($row['harvests'] / $row['runs'], 4),
                'years' => $row['years'],
                'band_low' => round($row['low'], 4),
                'band_high' => round($row['high'], 4),
            ],
            $told['crops'] ?? [],
        );
    }

    /** @return list<Row> */
    private static function normals(EditionDocument $edition): array
    {
        $ruler = $edition->content['ruler'];

        return array_map(
            static fn (int $day): array => self::of($edition) + [
                'day' => YearDay::fromNumber($day)->iso(),
                'freeze_chance' => $ruler['freeze_chance'][$day - 1],
                'freeze_to_come' => $ruler['freeze_to_come'][$day - 1],
                'freeze_has_come' => $ruler['freeze_has_come'][$day - 1],
                'hot_chance' => $ruler['hot_chance'][$day - 1],
                'soil_c' => $ruler['soil'][$day - 1],
                'day_length_h' => $ruler['day_length'][$day - 1],
                'seasons' => $ruler['seasons'],
            ],
            range(1, YearDay::YEAR),
        );
    }

    /** @return list<Row> */
    private static function method(EditionDocument $edition): array
    {
        $rows = [];
        foreach ($edition->content['method'] as $name => $value) {
            $rows[] = self::of($edition) + ['name' => $name, 'value' => is_bool($value) ? (int) $value : $value];
        }

        return $rows;
    }

    /** @return array{zone: string, edition: int} */
    private static function of(EditionDocument $edition): array
    {
        return ['zone' => $edition->content['zone']['slug'], 'edition' => $edition->content['edition']['number']];
    }

    /** @return list<Row> what each column means; kept beside the code in docs/open-data.csv */
    private function dictionary(): array
    {
        $lines = array_map(
            static fn (string $line): array => str_getcsv($line),
            file(base_path('docs/open-data.csv'), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [],
        );
        $heading = array_map(strval(...), array_shift($lines) ?? []);

        return array_map(static fn (array $cells): array => array_combine($heading, $cells), $lines);
    }
}
