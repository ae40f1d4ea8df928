<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Crop\LightSchool;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use App\Crops\ZoneCrops;
use App\Sites\Site;
use App\Stations\OutlookSource;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use LogicException;

/**
 * The only place where rows become the value that computations depend on: a zone's record, sites, way of counting light, crop book, and
 * season.
 */
final readonly class PlaceOf
{
    public function __construct(private OutlookSource $outlook)
    {
    }

    /** @return Place|null a zone at any time, open ground first; null without a record */
    public function zone(Zone $zone): ?Place
    {
        $note = ZoneRecordNote::of($zone);
        if ($note === null) {
            return null;
        }
        $record = null;
        $read = static function () use ($zone, &$record): ZoneRecord {
            return $record ??= ZoneRecord::of($zone) ?? throw new LogicException('A zone with a note of its record has one.');
        };

        return new Place(
            self::known($note['years'], static fn (): DailyRecord => $read()->used),
            self::known($note['whole'], static fn (): DailyRecord => $read()->filled->record),
            Latitude::of($zone->latitude),
            LightSchool::from($zone->light),
            Site::forZone($zone),
            ZoneCrops::of($zone)->book(),
            waitsForSoil: $zone->waits_for_soil,
            waitsForGround: $zone->waits_for_ground,
        );
    }

    /** @return Place|null the same, in the season of its today, or of another day used as today; null without a record */
    public function today(Zone $zone, ?Day $today = null): ?Place
    {
        $today ??= $zone->today();

        return $this->zone($zone)?->inSeason($today, $this->outlook->from($zone, $today));
    }

    /**
     * @param  array{first: string, last: string, checksum: string}  $note
     * @param  callable(): DailyRecord  $read
     */
    private static function known(array $note, callable $read): KnownRecord
    {
        return new KnownRecord($note['checksum'], Day::fromIso($note['first']), Day::fromIso($note['last']), $read(...));
    }
}
