<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\WindowDifference;
use Anthesis\Crop\Crop;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;
use App\Crops\Crop as CropModel;
use App\Crops\Variety;
use App\Crops\ZoneCrops;
use App\Results\Result;
use App\Results\Results;
use App\Results\ZoneReplay;
use App\Sites\Site as SiteModel;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * The windows of one crop at every site, and of its varieties in open ground, with what each gains against the crop there.
 *
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type Compared array{name: string, route: string, act: string, windows: list<Span>, phrase: Words|null}
 */
final class CropComparison
{
    /** @return array{sites: list<Compared>, varieties: list<Compared>} kept under a fingerprint of all they come from */
    public static function of(Zone $zone, ZoneRecord $record, CropModel $model, ProofStandard $standard): array
    {
        $book = ZoneCrops::of($zone);
        $sites = SiteModel::forZone($zone);
        $varieties = array_values($model->varieties()->get()->all());
        $inputs = [$record->used->checksum(), $zone->latitude, $zone->light, $standard->value, $sites, $book->crop($model)->checksum(),
            array_map(static fn (Variety $v): array => [$v->name, $book->variety($v, $model)->checksum()], $varieties)];
        $hash = Results::remember(Result::COMPARED, Result::hashOf(Result::COMPARED, $inputs),
            static fn (): array => self::compute($zone, $record, $book, $model, $varieties, $sites, $standard));
        /** @var array{sites: list<Compared>, varieties: list<Compared>} $content */
        $content = Result::query()->findOrFail($hash)->content();

        return $content;
    }

    /**
     * @param  list<Variety>  $varieties
     * @param  non-empty-list<Site>  $sites
     * @return array{sites: list<Compared>, varieties: list<Compared>}
     */
    private static function compute(Zone $zone, ZoneRecord $record, ZoneCrops $book, CropModel $model, array $varieties, array $sites, ProofStandard $standard): array
    {
        $latitude = Latitude::of($zone->latitude);
        $crop = $book->crop($model);
        $windows = static fn (FromReplay $school, Crop $grown): array => array_combine(array_column($grown->routes, 'value'), $school->windows($grown, $standard));
        $out = ['sites' => [], 'varieties' => []];
        $base = [];
        foreach ($sites as $i => $site) {
            $school = new FromReplay(ZoneReplay::of($zone, $record, $site), $latitude->yearStart(), $site->name);
            $routes = $windows($school, $crop);
            if ($i === 0) {
                $base = array_map(static fn (RouteWindows $r): array => array_map(CropSheet::span(...), $r->windows), $routes);
                foreach ($varieties as $variety) {
                    $grown = $book->variety($variety, $model);
                    array_push($out['varieties'], ...self::rows($grown, $variety->name, $windows($school, $grown), $base, Phrase::of('difference.the-crop')));
                }
            }
            array_push($out['sites'], ...self::rows($crop, $site->name, $routes, $i === 0 ? [] : $base, $sites[0]->name));
        }

        return $out;
    }

    /**
     * @param  array<string, RouteWindows>  $routes
     * @param  array<string, list<Span>>  $base  windows to hold them against; empty: these are the base themselves
     * @param  string|Phrase  $than  what the base is
     * @return list<Compared>
     */
    private static function rows(Crop $crop, string $name, array $routes, array $base, string|Phrase $than): array
    {
        $rows = [];
        foreach ($routes as $route => $windows) {
            $sheet = CropSheet::routes($crop, [$windows])[0];
            $rows[] = ['name' => $name, 'route' => $route, 'act' => $sheet['act'], 'windows' => $sheet['windows'],
                'phrase' => isset($base[$route]) ? WindowDifference::phrase($sheet['windows'], $base[$route], $than)?->toArray() : null];
        }

        return $rows;
    }
}
