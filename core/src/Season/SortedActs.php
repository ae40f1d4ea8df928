<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Crop\Act;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;

/** All tasks a grower may be about to do on a day, in groups; within a group, the quickest to first harvest first. */
final readonly class SortedActs
{
    /** Days from the day on that are shown: nine weeks, which cover everything a verdict looks at. */
    public const SHOWN = 63;

    /**
     * @param  Act  $act  what would be done on the day
     * @param  int  $setOutAfter  days from the task to transplanting; 0 unless it starts indoors
     * @param  Prospects  $prospects  of direct sowing, planting, or transplanting, from the day it would be done
     */
    private function __construct(
        public Crop $crop,
        public Route $route,
        public Act $act,
        public int $setOutAfter,
        public Prospects $prospects,
        public HoldOrGo $verdict,
    ) {
    }

    /**
     * @param  list<Crop>  $crops
     * @param  float  $standard  share of harvests needed, 0…1
     * @return list<self>
     */
    public static function of(array $crops, ProspectsSource $source, Day $on, float $standard): array
    {
        $acts = [];
        foreach ($crops as $crop) {
            foreach ($crop->routes as $route) {
                array_push($acts, ...self::ofRoute($crop, $route, $source, $on, $standard));
            }
        }
        $place = array_flip(array_map(static fn (Pile $p): string => $p->value, Pile::cases()));
        usort(
            $acts,
            static fn (self $a, self $b): int => [
                $place[$a->verdict->pile->value],
                $a->daysToHarvest() ?? PHP_INT_MAX,
                $a->crop->name,
                $a->act->value,
            ] <=> [$place[$b->verdict->pile->value], $b->daysToHarvest() ?? PHP_INT_MAX, $b->crop->name, $b->act->value],
        );

        return $acts;
    }

    /** @return list<self> starting indoors is judged by transplanting that many weeks later */
    private static function ofRoute(Crop $crop, Route $route, ProspectsSource $source, Day $on, float $standard): array
    {
        $weeks = $route === Route::Transplant ? $crop->underCover->weeks?->days() ?? 0 : 0;
        $prospects = $source->prospects($crop, $route, $on, self::SHOWN + $weeks);
        $acts = [new self($crop, $route, $crop->act($route), 0, $prospects, HoldOrGo::of($prospects, $standard))];
        if ($weeks > 0) {
            $later = $prospects->after($weeks);
            $acts[] = new self($crop, $route, Act::StartUnderCover, $weeks, $later, HoldOrGo::of($later, $standard));
        }

        return $acts;
    }

    /** @return int|null days from the task to the median first harvest; null: none comes to harvest */
    public function daysToHarvest(): ?int
    {
        $wait = $this->verdict->waits[0];

        return $wait === null ? null : $this->setOutAfter + $wait;
    }

    /** When to do the task, if it should wait. */
    public function until(): ?Day
    {
        return $this->verdict->until?->plus(-$this->setOutAfter);
    }
}
