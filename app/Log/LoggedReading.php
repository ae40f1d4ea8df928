<?php

declare(strict_types=1);

namespace App\Log;

use App\People\User;
use App\Sites\Site;
use App\Soil\KeepReading;
use App\Soil\SaveSpot;
use App\Soil\SoilSpot;
use App\Zones\Zone;
use Illuminate\Support\Str;

/** A reading in the log is a soil reading too, with the bed as its spot. */
final class LoggedReading
{
    /** Depth of a thermometer if none is given, m. */
    private const DEPTH = 0.05;

    /** Hour of a reading if none is given. */
    private const MORNING = 9.0;

    public static function spot(SaveSpot $save, Zone $zone, ?Bed $bed): SoilSpot
    {
        return $save->execute(
            $zone,
            Str::limit($bed === null ? $zone->name : "{$bed->garden}, {$bed->name}", 80, ''),
            $bed->site ?? Site::seenIn($zone)->firstOrFail(),
        );
    }

    public static function keep(KeepReading $keep, SoilSpot $spot, ?User $user, LoggedEntry $entry): void
    {
        $keep->keep(
            $spot,
            $user,
            $entry->key,
            $entry->on,
            (float) ($entry->told['hour'] ?? self::MORNING),
            (float) ($entry->told['depth'] ?? self::DEPTH),
            [],
            (float) $entry->told['celsius'],
            false,
        );
    }
}
