<?php

declare(strict_types=1);

namespace App\Support;

use Anthesis\Calendar\CropDossier;
use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Record\Latitude;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use App\Models\Site;
use App\Models\Zone;

/**
 * A crop as it is and as it would be, in one zone: ribbons and windows side by side.
 *
 * @phpstan-import-type Dossier from CropDossier
 */
final class CropTrial
{
    /** @return array{starts: string, before: list<array<string, mixed>>, after: list<array<string, mixed>>} */
    public static function of(Zone $zone, ZoneRecord $record, Crop $before, Crop $after): array
    {
        $latitude = Latitude::of($zone->latitude);
        $site = Site::forZone($zone)[0];
        $replay = new Replay($record->used, $latitude, $site, LightSchool::from($zone->light));
        $routes = static function (Crop $crop) use ($replay, $latitude, $site, $zone): array {
            $ribbons = [];
            foreach ($crop->routes as $route) {
                $ribbons[$route->value] = OutcomeRibbon::of($replay->runs($crop, $route));
            }

            return array_map(static fn (array $route): array => ['ribbon' => $route['ribbon']] + $route['standards'][$zone->standard],
                CropDossier::of($crop, [], $ribbons, $latitude->midwinter(), $site->name)['replay']);
        };

        return ['starts' => $latitude->midwinter()->iso(), 'before' => $routes($before), 'after' => $routes($after)];
    }
}
