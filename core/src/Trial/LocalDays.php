<?php

declare(strict_types=1);

namespace Anthesis\Trial;

use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\Median;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\SeasonTables;

/**
 * Days to maturity as a place's own plantings show them (docs/method.md, "Local days to maturity").
 *
 * Each planting gives q: the growth-days that passed on the record from its emergence (as seen, otherwise as modeled; or from
 * transplanting) to its first harvest, divided by those the packet asks for. The factor is median(q)^(n/(n+3)), so a few plantings change
 * the packet's days only a little.
 */
final readonly class LocalDays
{
    /** This many plantings that say nothing new are added to those that were seen. */
    private const DOUBT = 3;

    /**
     * @param  list<float>  $shares  q of each planting that the record could tell, in their order
     * @param  float  $days  packet days for this place
     * @param  float|null  $errorBefore  mean distance between the packet's own days and the first harvest seen, days
     * @param  float|null  $errorAfter  the same with the days the other plantings give, leaving each out in turn; null with fewer than two
     */
    private function __construct(
        public array $shares,
        public float $factor,
        public float $days,
        public ?float $errorBefore,
        public ?float $errorAfter,
    ) {
    }

    /**
     * @param  list<array{SeasonTables, ObservedSowing}>  $sowings  of the crop by this way of growing, each with the weather of its site;
     *   those the record does not cover from sowing to harvest, and those harvested on the day they emerged, are left out
     * @return self|null null if none is left
     */
    public static function of(Crop $crop, Route $route, LightSchool $light, array $sowings): ?self
    {
        $needed = (new Maturity($crop))->growthDays($route);
        $seen = [];
        foreach ($sowings as [$tables, $sowing]) {
            $growth = $tables->growth($crop, $light);
            $up = self::up($tables, $crop, $route, $sowing);
            $harvest = $sowing->firstHarvest->number - $tables->first->number;
            if (
                $up !== null &&
                $up < $harvest &&
                $harvest < $tables->days &&
                $tables->missing[$harvest + 1] === $tables->missing[$up]
            ) {
                $seen[] = [$tables, $up, $harvest, ($growth[$harvest + 1] - $growth[$up + 1]) / $needed];
            }
        }
        if ($seen === []) {
            return null;
        }
        $shares = array_column($seen, 3);
        $factor = self::factor($shares);
        $ofOthers = static fn (int $i): float => self::factor(array_values(array_diff_key($shares, [$i => true])));

        return new self(
            $shares,
            $factor,
            $crop->growth->maturityDays * $factor,
            self::meanError($crop, $route, $light, $seen, array_fill(0, count($seen), 1.0)),
            count($seen) > 1 ? self::meanError($crop, $route, $light, $seen, array_map($ofOthers, array_keys($shares))) : null,
        );
    }

    /**
     * @param  non-empty-list<array{SeasonTables, int, int, float}>  $seen  weather, day of emergence, and day of harvest
     * @param  list<float>  $factors  of the packet's days, one per planting
     * @return float days
     */
    private static function meanError(Crop $crop, Route $route, LightSchool $light, array $seen, array $factors): float
    {
        $sum = 0;
        foreach ($seen as $i => [$tables, $up, $harvest]) {
            $needed = (new Maturity($crop->maturingIn($crop->growth->maturityDays * $factors[$i])))->growthDays($route);
            $sum += abs($harvest - self::maturity($tables->growth($crop, $light), $tables->days, $up, $needed));
        }

        return $sum / count($seen);
    }

    /** @param  list<float>  $shares  at least one */
    private static function factor(array $shares): float
    {
        $n = count($shares);

        return Median::of($shares) ** ($n / ($n + self::DOUBT));
    }

    /** @return int|null day of the record on which it was up, or transplanted; null if that is not on record */
    private static function up(SeasonTables $tables, Crop $crop, Route $route, ObservedSowing $sowing): ?int
    {
        $on = $sowing->on->number - $tables->first->number;
        if ($on < 0 || $on >= $tables->days) {
            return null;
        }
        if ($route === Route::Transplant) {
            return $on;
        }
        if ($sowing->up !== null) {
            return $sowing->up->number - $tables->first->number;
        }

        return $tables->emerged($crop->emergence, $on);
    }

    /**
     * @param  list<float>  $growth  sum of growth-days
     * @return int day of the record on which this many growth-days have passed since it was up; the last day of the record if they have not
     */
    private static function maturity(array $growth, int $days, int $up, float $needed): int
    {
        for ($day = $up; $day < $days - 1 && $growth[$day + 1] < $growth[$up + 1] + $needed - Tolerance::SUMS; $day++);

        return $day;
    }
}
