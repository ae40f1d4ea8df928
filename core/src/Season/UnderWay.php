<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Replay\Outcome;

/**
 * A planting already in the ground, or indoors, followed on this season's members. What was seen of it replaces what was expected
 * (docs/method.md, "Growing now").
 *
 * If it was seen up, it continues as the sowing that the model has up on that day: the replay runs from that one.
 */
final readonly class UnderWay
{
    /** Days from emergence to thinning. */
    public const THINNED_AFTER = 14;

    /** How many days earlier the sowing may be that takes the place of one seen up. */
    private const SEARCHED = 90;

    private const FROST = [Outcome::NoEmergenceCold, Outcome::FreezeYoung, Outcome::FreezeLate, Outcome::ColdBolt];

    /**
     * @param  array{Day, Day, Day}|null  $up  10, 50, and 90% of the days on which it emerges, of the members in which it does; null: it is
     *   up, was transplanted, or emerges in none
     * @param  Day|null  $setOut  when a planting indoors should be transplanted; null: it is in the ground
     * @param  Day|null  $thin  by when to thin it; null: that is done, or nothing is thinned
     * @param  array{Day, Day, Day}|null  $firstPick  10, 50, and 90% of first harvests, of the members that come to one; null: it was
     *   harvested, or none does
     * @param  int  $harvests  members that come to harvest
     * @param  int  $cold  members in which it is lost to cold: frost, a bed too cold to emerge in, or bolting after cold
     * @param  Outcome|null  $loss  the most frequent outcome other than a harvest
     */
    private function __construct(
        public ?array $up,
        public ?Day $setOut,
        public ?Day $thin,
        public ?array $firstPick,
        public int $harvests,
        public int $cold,
        public int $of,
        public ?Outcome $loss,
    ) {
    }

    /**
     * @param  Day  $on  day of sowing; of transplanting, if it was transplanted; of the start indoors, if it is still there
     * @param  bool  $underCover  whether it is still indoors
     * @param  Day|null  $up  when it was seen up; null: not seen
     * @param  bool  $thinned  whether it was thinned
     * @param  bool  $picked  whether it was harvested for the first time
     */
    public static function of(
        ThisSeason $season,
        Crop $crop,
        Route $route,
        Day $on,
        bool $underCover,
        ?Day $up,
        bool $thinned,
        bool $picked,
    ): self {
        $setOut = $underCover ? self::setOut($crop, $on, $season->today) : null;
        $inGround = $setOut ?? $on;
        $isSown = $route === Route::Direct;
        $emerges = $isSown && $up === null ? self::spread($season->emergences($crop, $on)) : null;
        $sowing = $season->sowing($crop, $route, $isSown && $up !== null ? self::standIn($season, $crop, $on, $up) : $inGround);
        $cold = array_sum(array_map($sowing->of(...), self::FROST));
        $cameUp = $up ?? ($emerges[1] ?? null);

        return new self(
            $emerges,
            $setOut,
            $isSown && ! $thinned && ! $picked && $crop->start === 'seed' ? $cameUp?->plus(self::THINNED_AFTER) : null,
            $picked ? null : $sowing->firstHarvests(),
            $sowing->of(Outcome::Harvest),
            $cold,
            $sowing->count(),
            $sowing->loss(),
        );
    }

    /** Seedlings are transplanted after their weeks indoors, or today if those are over. */
    private static function setOut(Crop $crop, Day $on, Day $today): Day
    {
        $then = $on->plus($crop->underCover->weeks?->days() ?? 0);

        return $then->isBefore($today) ? $today : $then;
    }

    /** The latest sowing the model has up by the day it was seen up; up to today, all members are the same. */
    private static function standIn(ThisSeason $season, Crop $crop, Day $on, Day $up): Day
    {
        for ($day = $up; $day->number >= $up->number - self::SEARCHED; $day = $day->plus(-1)) {
            $emerges = $season->emergence($crop, $day);
            if ($emerges !== null && $emerges->number <= $up->number) {
                return $day;
            }
        }

        return $on;
    }

    /**
     * @param  list<Day|null>  $days
     * @return array{Day, Day, Day}|null
     */
    private static function spread(array $days): ?array
    {
        $numbers = array_map(static fn (Day $d): int => $d->number, array_values(array_filter($days)));
        if ($numbers === []) {
            return null;
        }
        sort($numbers);
        $at = static fn (float $p): Day => Day::fromNumber((int) round((float) Quantile::of($numbers, $p)));

        return [$at(0.1), $at(0.5), $at(0.9)];
    }
}
