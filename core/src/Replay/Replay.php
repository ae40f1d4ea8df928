<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Climate\Normals;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Step\Bulbing;
use Anthesis\Replay\Step\Chill;
use Anthesis\Replay\Step\Emergence;
use Anthesis\Replay\Step\Ending;
use Anthesis\Replay\Step\FruitSetting;
use Anthesis\Replay\Step\Ground;
use Anthesis\Replay\Step\Step;
use Anthesis\Replay\Step\Youth;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;

/**
 * Plants a crop on every day of the record and simulates it on the weather that followed; docs/method.md, "Replaying the record".
 *
 * All plantings go through the steps of a crop's life together. Within a step, a season takes a handful of look-ups in tables, and a later
 * planting never reaches a stage of growth earlier, so pointers only move forward: the whole replay is linear in the days of the record.
 */
final class Replay
{
    /** Edition of the method; docs/method.md, "Editions of the method". */
    public const METHOD_EDITION = 3;

    /** Days after emergence, or transplanting, by which a crop must have come to harvest. */
    public const HORIZON = 330;

    private readonly SeasonTables $tables;

    private ?self $onAnyGround = null;

    private ?self $withoutSnow = null;

    private ?Normals $soil = null;

    /**
     * @param  DailyRecord  $record  after quality control
     * @param  bool  $frozenGround  whether frozen ground prevents sowing
     * @param  TableCache  $cache  shared with other replays, so there is one bound for everything they keep
     */
    public function __construct(
        private readonly DailyRecord $record,
        private readonly Latitude $latitude,
        Site $site,
        private readonly LightSchool $light = LightSchool::Radiation,
        bool $frozenGround = true,
        private readonly TableCache $cache = new TableCache(),
    ) {
        $this->tables = new SeasonTables($record, $latitude, $site, $frozenGround, $cache);
    }

    /** The years of a place, at the site in use. */
    public static function ofPlace(Place $place): self
    {
        return $place->once(
            self::class,
            static fn (): self => new self($place->years->days(), $place->latitude, $place->site(), $place->light),
        );
    }

    /** @return Normals|null the normal soil of these years at the site, °C; null: too few years to tell */
    public function normalSoil(): ?Normals
    {
        try {
            return $this->soil ??= SoilTemperature::of($this->record, $this->latitude, $this->tables->site)->normals();
        } catch (RecordTooShort) {
            return null;
        }
    }

    /** The same years, with frozen ground ignored. */
    public function onAnyGround(): self
    {
        return $this->onAnyGround ??= new self($this->record, $this->latitude, $this->tables->site, $this->light, false, $this->cache);
    }

    /** The same years, as if no snow had been measured. */
    public function withoutSnow(): self
    {
        return $this->withoutSnow ??=
            $this->record->snow === null
                ? $this
                : new self(
                    new DailyRecord($this->record->first, $this->record->minimum, $this->record->maximum, $this->record->rain),
                    $this->latitude,
                    $this->tables->site,
                    $this->light,
                    cache: $this->cache,
                );
    }

    /** Days of the record. */
    public function days(): int
    {
        return $this->tables->days;
    }

    /** The same years at another site. */
    public function at(Site $site): self
    {
        return new self($this->record, $this->latitude, $site, $this->light, cache: $this->cache);
    }

    /**
     * @param  int|null  $from  first day of the record to sow on; null: the first one; days not on record are skipped
     * @param  int|null  $to  the last; null: the last one
     */
    public function runs(Crop $crop, Route $route, ?int $from = null, ?int $to = null): Runs
    {
        $sowings = new Sowings($this->tables->days, $from ?? 0, $to ?? $this->tables->days - 1);
        foreach ($this->steps(new CropNeeds($crop, $route, $this->light)) as $step) {
            $step->take($sowings);
        }

        return $sowings->runs($this->tables->first, $this->tables->sowDays);
    }

    /** @return list<float> sum of a crop's growth-days before each day of the record, at the site; days + 1 long */
    public function grown(Crop $crop): array
    {
        return $this->tables->growth($crop, $this->light);
    }

    /** @return Day|null when what is sown on a day emerges, if in time; null: it does not, or not within the record */
    public function emergence(Crop $crop, Day $sown): ?Day
    {
        $on = $sown->number - $this->tables->first->number;
        $up = $on < 0 || $on >= $this->tables->days ? null : $this->tables->emerged($crop->emergence, $on);

        return $up === null || $up - $on > $crop->emergence->maxDays ? null : $this->tables->first->plus($up);
    }

    /** @return list<Step> a crop's life, in order */
    private function steps(CropNeeds $needs): array
    {
        $tables = $this->tables;

        return [
            new Ground($tables, $needs),
            new Emergence($tables, $needs),
            new Youth($tables, $needs),
            ...$needs->isBulb() ? [new Bulbing($tables, $needs)] : [],
            ...$needs->chillDays > 0 && ! $needs->isBulb() ? [new Chill($tables, $needs)] : [],
            ...$needs->crop->fruitSet !== null && ! $needs->isBulb() ? [new FruitSetting($tables, $needs)] : [],
            new Ending($tables, $needs),
        ];
    }
}
