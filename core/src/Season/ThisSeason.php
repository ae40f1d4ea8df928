<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Gap;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\TableCache;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;

/** A place's season as it is: a replay of each member at one site. */
final class ThisSeason implements ProspectsSource
{
    /** The latest day after today on which a transplant has its whole season in every member. */
    public const AHEAD = Splice::AFTER - Replay::HORIZON - 1;

    /** The day after the record's last. */
    public readonly Day $today;

    /** @var array<int, Replay> by year of the member, made when first used */
    private array $replays = [];

    private readonly TableCache $cache;

    /**
     * @param  list<Member>  $members
     */
    private function __construct(
        DailyRecord $record,
        public readonly array $members,
        public readonly Latitude $latitude,
        public readonly Site $site,
        private readonly LightSchool $light,
    ) {
        $this->today = $record->last()->plus(1);
        // Each crop goes through all members in turn, so the tables of all of them should fit.
        $this->cache = new TableCache(2 * TableCache::BYTES);
    }

    /**
     * @param  DailyRecord  $record  after quality control, up to this morning
     * @param  DailyRecord|null  $outlook  continues the record; null: none
     */
    public static function of(
        DailyRecord $record,
        ?DailyRecord $outlook,
        Latitude $latitude,
        Site $site,
        LightSchool $light = LightSchool::Radiation,
    ): self {
        return new self($record, Splice::members($record, $outlook), $latitude, $site, $light);
    }

    /** The season a place is in. */
    public static function ofPlace(Place $place): self
    {
        return $place->once(
            self::class,
            static fn (): self => self::of($place->known(), $place->outlook(), $place->latitude, $place->site(), $place->light),
        );
    }

    /** @return SeasonLack|null why nothing can be said about a place's season; null: something can */
    public static function lacks(Place $place): ?SeasonLack
    {
        return match (true) {
            $place->years->last->daysUntil($place->today()) - 1 > Gap::BRIDGED_DAYS => SeasonLack::RecordEnds,
            $place->years->first->daysUntil($place->today()) < Splice::BEFORE => SeasonLack::RecordIsShort,
            default => null,
        };
    }

    public function sowing(Crop $crop, Route $route, Day $on): Sowing
    {
        return $this->sowings($crop, $route, $on, 1)[0];
    }

    /**
     * @param  int  $days  how many, starting with the first, at least one
     * @return non-empty-list<Sowing> one per day
     */
    public function sowings(Crop $crop, Route $route, Day $from, int $days): array
    {
        $members = array_fill(0, $days, []);
        $harvested = [];
        foreach (Outcome::cases() as $outcome) {
            $harvested[$outcome->code()] = $outcome->cameToHarvest();
        }
        foreach ($this->members as $member) {
            $first = $from->number - $member->record->first->number;
            $runs = $this->replay($member)->runs($crop, $route, $first, $first + $days - 1);
            for ($i = 0; $i < $days; $i++) {
                $code = $runs->outcomes[$first + $i] ?? Outcome::NONE;
                if ($code !== Outcome::NONE) {
                    $members[$i][$member->year] = [
                        $code,
                        ...$harvested[$code] ? [$runs->mature[$first + $i] - $first - $i, $runs->harvests[$first + $i]] : [null, 0],
                    ];
                }
            }
        }

        return array_map(static fn (int $i): Sowing => new Sowing($from->plus($i), $members[$i]), range(0, $days - 1));
    }

    /**
     * @return Day|null when what is sown on a day emerges in the first member, which is like all others up to today; null: not in time, or
     *   there is no member
     */
    public function emergence(Crop $crop, Day $sown): ?Day
    {
        return $this->members === [] ? null : $this->replay($this->members[0])->emergence($crop, $sown);
    }

    /** @return list<Day|null> when what is sown on a day emerges, in each member; null: not in time */
    public function emergences(Crop $crop, Day $sown): array
    {
        return array_map(fn (Member $member): ?Day => $this->replay($member)->emergence($crop, $sown), $this->members);
    }

    /** @return list<float> sum of a crop's growth-days before each day of a member's record, at the site; days + 1 long */
    public function grown(Crop $crop, Member $member): array
    {
        return $this->replay($member)->grown($crop);
    }

    /**
     * @param  int  $days  how many, starting with the first
     * @return array<int, list<float>> daily mean soil temperature by year of the member, °C
     */
    public function soil(Day $from, int $days): array
    {
        $soil = [];
        foreach ($this->members as $member) {
            $means = SoilTemperature::of($member->record, $this->latitude, $this->site)->dailyMean;
            $own = array_slice($means, max(0, $from->number - $member->record->first->number), $days);
            $soil[$member->year] = array_map(floatval(...), $own);
        }

        return $soil;
    }

    public function prospects(Crop $crop, Route $route, Day $from, int $days): Prospects
    {
        return Prospects::ofSowings($this->sowings($crop, $route, $from, $days));
    }

    private function replay(Member $member): Replay
    {
        return $this->replays[$member->year] ??= new Replay(
            $member->record,
            $this->latitude,
            $this->site,
            $this->light,
            cache: $this->cache,
        );
    }
}
