<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\TodaySheet;
use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Variety as CoreVariety;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Gap;
use Anthesis\Record\Latitude;
use Anthesis\Season\RecordAlone;
use Anthesis\Season\Splice;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;
use App\Crops\ZoneCrops;
use App\Operations\Say;
use App\Results\Result;
use App\Results\Results;
use App\Results\ZoneRecordNote;
use App\Results\ZoneReplay;
use App\Sites\Site as ZoneSite;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use LogicException;

/**
 * What can be done in a zone on a day: today on this season as it is, on another date by the record alone.
 *
 * @phpstan-import-type Sheet from TodaySheet
 */
final readonly class ZoneToday
{
    public function __construct(private OutlookSource $outlook)
    {
    }

    /**
     * @param  Day|null  $on  another date; null: today
     * @return array{sheet: Sheet, record_ends: string, outlook: array{source: string, days: list<array{date: string, minimum: float|null, maximum: float|null}>}|null}
     */
    public function of(Zone $zone, ZoneRecord $record, Site $site, ProofStandard $standard, Day $today, ?Day $on): array
    {
        $book = ZoneCrops::of($zone);
        $crops = $book->book();
        $covers = Site::covers();
        $varieties = $book->varieties();
        $known = self::upTo($record->used, $today);
        $outlook = $on === null ? $this->outlook->from($zone, $today) : null;
        $inputs = [$known->checksum(), $zone->latitude, $zone->light, $site, $standard->value, ($on ?? $today)->iso(), $on !== null, $outlook?->checksum(), $covers,
            array_map(static fn (Crop $c): string => $c->checksum(), $crops),
            array_map(static fn (array $own): array => array_map(static fn (CoreVariety $v): array => [$v->name, $v->tags, $v->crop->checksum()], $own), $varieties)];
        $hash = Results::remember(Result::TODAY, Result::hashOf(Result::TODAY, $inputs), static function () use ($zone, $record, $site, $standard, $on, $known, $outlook, $crops, $varieties, $covers): array {
            $latitude = Latitude::of($zone->latitude);
            $replay = new FromReplay(ZoneReplay::of($zone, $record, $site), $latitude->yearStart(), $site->name);
            if ($on !== null) {
                return TodaySheet::ofRecord(new RecordAlone($replay), $replay, $crops, $varieties, $on, $standard->share(), range($record->used->first->year(), $record->used->last()->year()));
            }

            return TodaySheet::ofSeason(ThisSeason::of($known, $outlook, $latitude, $site, LightSchool::from($zone->light)), $known, $replay, $crops, $varieties, $covers, $standard->share());
        });
        /** @var Sheet $sheet */
        $sheet = Result::query()->findOrFail($hash)->content();

        return ['sheet' => $sheet, 'record_ends' => self::lastKnown($known)->iso(), 'outlook' => $outlook === null ? null : ['source' => $this->outlook->name(), 'days' => self::days($outlook)]];
    }

    /**
     * This season as it is, at a site; for those who follow what stands already.
     *
     * @return array{season: callable(Site): ThisSeason, inputs: list<mixed>}|null with the fingerprint of the weather it is made of; null where there is no season to tell of
     */
    public function season(Zone $zone, Day $today): ?array
    {
        $note = ZoneRecordNote::of($zone);
        if ($note === null || self::missing(Day::fromIso($note['first']), Day::fromIso($note['last']), $today) !== null) {
            return null;
        }
        $outlook = $this->outlook->from($zone, $today);
        $known = null;

        return ['season' => static function (Site $site) use ($zone, $today, $outlook, &$known): ThisSeason {
            $known ??= self::upTo((ZoneRecord::of($zone) ?? throw new LogicException('A zone with a note of its record has one.'))->used, $today);

            return ThisSeason::of($known, $outlook, Latitude::of($zone->latitude), $site, LightSchool::from($zone->light));
        }, 'inputs' => [$note['checksum'], $today->iso(), $outlook?->checksum(), $zone->latitude, $zone->light]];
    }

    /**
     * What this season says at the zone's first site, by its own standard; for those who tell of it, not ask.
     *
     * @return array{sheet: Sheet, record_ends: string, outlook: array{source: string, days: list<array{date: string, minimum: float|null, maximum: float|null}>}|null}|null null where
     *                                                                                                                                                                     there is no season to tell of
     */
    public function told(Zone $zone, Day $today): ?array
    {
        $record = ZoneRecord::of($zone);

        return $record === null || self::missing($record->used->first, $record->used->last(), $today) !== null ? null : $this->of($zone, $record, ZoneSite::forZone($zone)[0], ProofStandard::from($zone->standard), $today, null);
    }

    /** @return list<array<string, mixed>> phrases behind a draft, as it is today; none of one that is none */
    public function evidence(Zone $zone, Day $today, ?string $ground): array
    {
        $grounds = $ground === null ? [] : array_column($this->told($zone, $today)['sheet']['grounds'] ?? [], 'evidence', 'key');

        return $grounds[$ground ?? ''] ?? [];
    }

    /**
     * @param  Day  $first  of the record
     * @param  Day  $last  of the record
     * @return string|null why this season cannot be told of
     */
    public static function missing(Day $first, Day $last, Day $today): ?string
    {
        return match (true) {
            $last->number < $today->number - 1 - Gap::BRIDGED_DAYS => 'The record ends on '.Say::date($last).', too long ago to tell of this season. Bring the days since, or choose another date and read the record alone.',
            $first->number > $today->number - Splice::BEFORE => 'The record is too short to put past years to this season: it needs '.Splice::BEFORE.' days before today.',
            default => null,
        };
    }

    /** The record to the day before today: what was not reported yet is missing, and what is told of days to come is left out. */
    private static function upTo(DailyRecord $record, Day $today): DailyRecord
    {
        $known = $record->between($record->first, $today->plus(-1));
        $missing = $today->number - 1 - $known->last()->number;
        if ($missing <= 0) {
            return $known;
        }
        $none = array_fill(0, $missing, null);

        return new DailyRecord($known->first, [...$known->minimum, ...$none], [...$known->maximum, ...$none]);
    }

    private static function lastKnown(DailyRecord $record): Day
    {
        $i = $record->days() - 1;
        while ($i > 0 && ($record->minimum[$i] === null || $record->maximum[$i] === null)) {
            $i--;
        }

        return $record->first->plus($i);
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
