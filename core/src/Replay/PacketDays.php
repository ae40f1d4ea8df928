<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Generator;

/**
 * The longest days to maturity a packet may give so that what is planted on a day still comes to harvest: the season left, in the packet's
 * own days, including slow growth in fall.
 */
final class PacketDays
{
    private const FEWEST = 20;

    private const MOST = 150;

    private const STEP = 5;

    private const HALF_WEEK = 3;

    /**
     * @param  float  $share  of the years, 0…1, in which it must come to harvest
     * @param  int|null  $fromYear  of sowing, up to $toYear; null: all on record
     * @return int|null the most packet days of 20, 25 … 150; null: none
     */
    public static function left(
        Replay $replay,
        Crop $crop,
        Route $route,
        YearDay $day,
        float $share,
        ?int $fromYear = null,
        ?int $toYear = null,
    ): ?int {
        for ($days = self::MOST; $days >= self::FEWEST; $days -= self::STEP) {
            $runs = $replay->runs($crop->maturingIn($days), $route);
            if ($fromYear !== null && $toYear !== null) {
                $runs = $runs->sownIn($fromYear, $toYear);
            }
            if (self::shareOfHarvests($runs, $day) >= $share - Tolerance::SUMS) {
                return $days;
            }
        }

        return null;
    }

    /**
     * The best week of the year for each quicker variety of a crop, down to half its days, since none is quicker than that.
     *
     * @param  list<bool>  $held  length 365, days on which nobody sows; empty: none
     * @return Generator<int, float> packet days, starting just below the crop's own, and the share of harvests in the week of the year in
     *   which most came to one
     */
    public static function shorter(Replay $replay, Crop $crop, Route $route, array $held = []): Generator
    {
        $weeks = [];
        for ($day = 1 + self::HALF_WEEK; $day <= YearDay::YEAR; $day += 2 * self::HALF_WEEK + 1) {
            if (! in_array(true, array_slice($held, $day - 1 - self::HALF_WEEK, 2 * self::HALF_WEEK + 1), true)) {
                $weeks[] = YearDay::fromNumber($day);
            }
        }
        $longest = (int) min(self::MOST, self::STEP * (ceil($crop->growth->maturityDays / self::STEP) - 1));
        for ($days = $longest; $days >= max(self::FEWEST, $crop->growth->maturityDays / 2); $days -= self::STEP) {
            $runs = $replay->runs($crop->maturingIn($days), $route);
            yield $days => max([0.0, ...array_map(static fn (YearDay $day): float => self::shareOfHarvests($runs, $day), $weeks)]);
        }
    }

    /** Of the seasons started on this day and the three before and after it, the share that came to harvest. */
    private static function shareOfHarvests(Runs $runs, YearDay $day): float
    {
        $harvest = Outcome::Harvest->code();
        $harvests = $all = 0;
        for ($j = -self::HALF_WEEK; $j <= self::HALF_WEEK; $j++) {
            foreach ($runs->sowDays->days[$day->plus($j)->number] as $i) {
                $all += $runs->outcomes[$i] === Outcome::NONE ? 0 : 1;
                $harvests += $runs->outcomes[$i] === $harvest ? 1 : 0;
            }
        }

        return $all === 0 ? 0.0 : $harvests / $all;
    }
}
