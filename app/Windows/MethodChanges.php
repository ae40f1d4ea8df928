<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\MethodChange;
use Anthesis\Crop\Crop;
use Anthesis\Record\Latitude;
use Anthesis\Window\ProofStandard;
use App\Crops\ZoneCrops;
use App\Results\Result;
use App\Results\Results;
use App\Results\ZoneReplay;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/**
 * What the second edition of the method moved in a zone, crop by crop.
 *
 * @phpstan-import-type Change from MethodChange
 */
final class MethodChanges
{
    /** @return list<Change> kept under a fingerprint of all they come from */
    public static function of(Zone $zone, ZoneRecord $record): array
    {
        $crops = ZoneCrops::of($zone)->book();
        $site = Site::forZone($zone)[0];
        $inputs = [$record->used->checksum(), $zone->latitude, $zone->light, $zone->standard, $site, array_map(static fn (Crop $c): string => $c->checksum(), $crops)];
        $hash = Results::remember(Result::METHOD_CHANGES, Result::hashOf(Result::METHOD_CHANGES, $inputs), static function () use ($zone, $record, $site, $crops): array {
            $replay = ZoneReplay::of($zone, $record, $site);
            $share = ProofStandard::from($zone->standard)->share();

            return ['changes' => array_merge(...array_map(static fn (Crop $c): array => MethodChange::of($c, $replay, Latitude::of($zone->latitude)->yearStart(), $share), $crops))];
        });
        /** @var array{changes: list<Change>} $content */
        $content = Result::query()->findOrFail($hash)->content();

        return $content['changes'];
    }
}
