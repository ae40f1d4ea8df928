<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Latitude;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;
use App\Results\ZoneReplay;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * A crop as it is and as it would be, in one zone: ribbons and windows side by side.
 */
final class CropTrial
{
    /** @return array{starts: string, before: list<array<string, mixed>>, after: list<array<string, mixed>>} */
    public static function of(Zone $zone, ZoneRecord $record, Crop $before, Crop $after): array
    {
        $latitude = Latitude::of($zone->latitude);
        $site = Site::forZone($zone)[0];
        $school = new FromReplay(ZoneReplay::of($zone, $record, $site), $latitude->yearStart(), $site->name);
        $share = ProofStandard::from($zone->standard)->share();
        $routes = static fn (Crop $crop): array => array_map(static fn (Route $route): array => [
            'ribbon' => CropDossier::ribbon($school->of($crop, $route)->ribbon, $school->of($crop, $route)->expected),
            ...CropSheet::routes($crop, [$school->of($crop, $route)->at($share)])[0],
        ], $crop->routes);

        return ['starts' => $latitude->yearStart()->iso(), 'before' => $routes($before), 'after' => $routes($after)];
    }
}
