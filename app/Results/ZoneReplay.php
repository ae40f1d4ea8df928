<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Crop\LightSchool;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;

/** The one place where a replay is set up: a zone's years at one of its sites, by the school of light it holds to. */
final class ZoneReplay
{
    public static function of(Zone $zone, ZoneRecord $record, Site $site): Replay
    {
        return new Replay($record->used, Latitude::of($zone->latitude), $site, LightSchool::from($zone->light));
    }
}
