<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Climate\Normals;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Sun\DayLength;
use Anthesis\Words\Phrase;

/** What counting back needs to know of a place: freezes, normal soil, normal afternoon heat, day length. */
final readonly class PlaceEvidence
{
    /**
     * @param  array<string, FreezeStatistics>  $freezes  by value of FreezeThreshold
     * @param  Normals  $soil  °C at the site's depth
     * @param  Normals  $maximum  daily maximum at the site, °C
     * @param  non-empty-list<float>  $dayLength  hours, length 365
     */
    private function __construct(
        public Latitude $latitude,
        public Site $site,
        public array $freezes,
        public Normals $soil,
        public Normals $maximum,
        public array $dayLength,
    ) {
    }

    /**
     * @param  DailyRecord  $record  after quality control
     *
     * @throws RecordTooShort without one complete cold season, or if some day of the year was never measured
     */
    public static function of(DailyRecord $record, Latitude $latitude, Site $site): self
    {
        $freezes = [];
        foreach (FreezeThreshold::cases() as $threshold) {
            $freezes[$threshold->value] = FreezeStatistics::of($record, $latitude, $threshold->celsius());
        }
        if ($freezes[FreezeThreshold::LightFreeze->value]->count() === 0) {
            throw new RecordTooShort(Phrase::of('error.no-cold-season', ['from' => Phrase::day($latitude->coldSeasonStart())]));
        }
        $maximum = array_map(static fn (?float $v): ?float => $v === null ? null : $v + $site->air, $record->maximum);

        return new self(
            $latitude,
            $site,
            $freezes,
            SoilTemperature::of($record, $latitude, $site)->normals(),
            Normals::of($record->first, $maximum),
            DayLength::throughTheYear($latitude),
        );
    }

    /** @throws RecordTooShort without one complete cold season, or if some day of the year was never measured */
    public static function ofPlace(Place $place): self
    {
        return $place->once(self::class, static fn (): self => self::of($place->years->days(), $place->latitude, $place->site()));
    }

    public function freeze(FreezeThreshold $threshold): FreezeStatistics
    {
        return $this->freezes[$threshold->value];
    }
}
