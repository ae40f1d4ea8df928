<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\TodaySheet;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Season\SeasonLack;
use Anthesis\Season\Splice;
use Anthesis\Season\ThisSeason;
use Anthesis\Window\ProofStandard;
use App\Operations\Say;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Stations\OutlookSource;
use App\Zones\Zone;

/**
 * What can be done in a zone on a day: today in this season as it is, on another date by the record alone.
 *
 * @phpstan-import-type Sheet from TodaySheet
 *
 * @phpstan-type Told array{sheet: Sheet, record_ends: string, outlook: array{source: string, days: list<array{date: string, minimum: float|null, maximum: float|null}>}|null}
 */
final readonly class ZoneToday
{
    public function __construct(private PlaceOf $places, private OutlookSource $outlook)
    {
    }

    /**
     * @param  Place  $place  in its season, at the requested site
     * @param  Day|null  $on  another date; null: today
     * @return Told
     */
    public function of(Place $place, ProofStandard $standard, ?Day $on): array
    {
        /** @var array{record_ends: string, sheet: Sheet} $content */
        $content = Results::of($place, new TodayQuestion($standard, $on));
        $outlook = $on === null ? $place->outlook() : null;

        return $content + ['outlook' => $outlook === null ? null : ['source' => $this->outlook->name(), 'days' => self::days($outlook)]];
    }

    /**
     * This season at the zone's first site, at its own confidence level, for those who report on it.
     *
     * @return Told|null null if nothing can be said about the season
     */
    public function told(Zone $zone, Day $today): ?array
    {
        $place = $this->places->today($zone, $today);

        return $place === null || ThisSeason::lacks($place) !== null ? null : $this->of($place, ProofStandard::from($zone->standard), null);
    }

    /** @return list<array<string, mixed>> the evidence for a draft, as of today; empty if it is not based on one */
    public function evidence(Zone $zone, Day $today, ?string $ground): array
    {
        $grounds = $ground === null ? [] : array_column($this->told($zone, $today)['sheet']['grounds'] ?? [], 'evidence', 'key');

        return $grounds[$ground ?? ''] ?? [];
    }

    /** @return string|null why nothing can be said about the season of a place */
    public static function missing(Place $place): ?string
    {
        return match (ThisSeason::lacks($place)) {
            SeasonLack::RecordEnds => 'The record ends on '.
                Say::date($place->years->last).
                ', too long ago to say how this season is going. Upload the days since, or choose another date to see past years.',
            SeasonLack::RecordIsShort => 'The record is too short to continue this season with past years: it needs '.
                Splice::BEFORE.
                ' days before today.',
            null => null,
        };
    }

    /** @return list<array{date: string, minimum: float|null, maximum: float|null}> */
    private static function days(DailyRecord $outlook): array
    {
        $days = [];
        foreach ($outlook->minimum as $i => $minimum) {
            $days[] = ['date' => $outlook->first->plus($i)->iso(), 'minimum' => $minimum, 'maximum' => $outlook->maximum[$i]];
        }

        return $days;
    }
}
