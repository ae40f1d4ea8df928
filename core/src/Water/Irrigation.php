<?php

declare(strict_types=1);

namespace Anthesis\Water;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Run;
use Anthesis\Soil\Ground;
use Closure;

/**
 * The water a crop needs on a kind of ground, with the weather of a record: the water balance of its roots, watered back to full whenever
 * it has used what it may. FAO Irrigation and Drainage Paper 56, tables 12 and 22, rounded.
 */
final readonly class Irrigation
{
    /** Water use of a seedling, in reference evapotranspirations, and of a grown crop by its thirst. */
    private const EARLY = 0.6;

    private const MIDDLE = ['low' => 0.95, 'usual' => 1.05, 'high' => 1.15];

    /** Shares of growth at which the early stage, the rise, and the middle stage end. */
    private const STAGES = [0.25, 0.6, 0.8];

    private const LEAST_ROOT = 0.10;

    /** Depth that is kept moist until seedlings are up, m, and the share of its water that may evaporate first. */
    private const SEEDBED = 0.025;

    private const SEEDBED_MAY_DRY = 0.5;

    private TopSoil $seedbed;

    /**
     * The stages of growth, each with the growth-days since emergence (or transplanting) at which it ends. Within a stage, the crop's water
     * use (in reference evapotranspirations) and the water its roots may use (mm) are straight lines in those growth-days: a start and a
     * slope for each.
     *
     * @var list<array{until: float, use: float, using: float, mayUse: float, deepening: float}>
     */
    private array $stages;

    /** @param  list<float>  $growth  sum of growth-days before each day of the record, at the site; days + 1 long */
    public function __construct(
        private WaterDays $water,
        Ground $ground,
        private Crop $crop,
        private Route $route,
        private array $growth,
    ) {
        $this->seedbed = new TopSoil($ground, self::SEEDBED);
        [$early, $risen, $middle] = self::STAGES;
        $grown = self::MIDDLE[$crop->watering->thirst ?? 'usual'];
        $late = $crop->watering->lateFactor ?? $grown;
        $rises = ($grown - self::EARLY) / ($risen - $early);
        $falls = ($late - $grown) / (1.0 - $middle);
        $depletion = $crop->watering->depletion();
        $shallow = $depletion * $ground->available(self::LEAST_ROOT);
        $deep = $depletion * $ground->available(max(self::LEAST_ROOT, $crop->watering->rootDepth()));
        $deepens = ($deep - $shallow) / $risen;
        $days = (new Maturity($crop))->growthDays($route);
        $stage = static fn (float $until, float $use, float $using, float $mayUse, float $deepening): array => [
            'until' => $until * $days,
            'use' => $use,
            'using' => $using / $days,
            'mayUse' => $mayUse,
            'deepening' => $deepening / $days,
        ];
        $this->stages = [
            $stage($early, self::EARLY, 0.0, $shallow, $deepens),
            $stage($risen, self::EARLY - $rises * $early, $rises, $shallow, $deepens),
            $stage($middle, $grown, 0.0, $deep, 0.0),
            $stage(1.0, $grown - $falls * $middle, $falls, $deep, 0.0),
            $stage(INF, $late, 0.0, $deep, 0.0),
        ];
    }

    /**
     * @param  list<Run>  $runs
     * @return array<int, Watered> by year of sowing, for the seasons that came to harvest and have precipitation on record for nine of ten
     *   days
     */
    public function of(array $runs): array
    {
        $years = [];
        foreach ($runs as $run) {
            if ($run->outcome !== Outcome::Harvest || $run->up === null || $run->daysToHarvest === null) {
                continue;
            }
            $sown = $run->sown->number - $this->water->first->number;
            $last = $sown + $run->daysToHarvest + $run->harvestDays - 1;
            if ($this->water->knowsRain($sown, $last)) {
                $years[$run->sown->year()] = $this->watered($sown, $run->up->number - $this->water->first->number, $last);
            }
        }

        return $years;
    }

    /** This runs for every sow day of every year, so nothing is called per day, and the last week's use is kept in variables. */
    private function watered(int $sown, int $up, int $last): Watered
    {
        [$growth, $et0, $reaching] = [$this->growth, $this->water->et0, $this->water->reaching];
        $start = $growth[$up + 1];
        $waterings = 0;
        $millimetres = $gone = $week = $thirstiest = 0.0;
        $seven = $six = $five = $four = $three = $two = $one = 0.0;
        $day = $up + 1;
        foreach ($this->stages as $stage) {
            ['until' => $until, 'use' => $factor, 'using' => $using, 'mayUse' => $mayUse, 'deepening' => $deepening] = $stage;
            $mayUse -= Tolerance::SUMS;
            for (; $day <= $last && ($grown = $growth[$day + 1] - $start) <= $until; $day++) {
                $use = ($factor + $using * $grown) * $et0[$day];
                $week += $use - $seven;
                $seven = $six;
                $six = $five;
                $five = $four;
                $four = $three;
                $three = $two;
                $two = $one;
                $one = $use;
                if ($week > $thirstiest) {
                    $thirstiest = $week;
                }
                $gone += $use - $reaching[$day];
                if ($gone < 0.0) {
                    $gone = 0.0;
                } elseif ($gone >= $mayUse + $deepening * $grown) {
                    $waterings++;
                    $millimetres += $gone;
                    $gone = 0.0;
                }
            }
        }

        return new Watered($waterings, $millimetres, $thirstiest, $this->sprinklings($sown, $up));
    }

    /**
     * The water balance of a planting as it is, with its waterings counted as they were given. It starts at full on the evening it emerged
     * (or was transplanted). Roots are never owed more water than they can take in all.
     *
     * @param  int  $up  day of the record on which it emerged, or was transplanted
     * @param  array<int, float|null>  $given  mm by day of the record, null: as much as it took; subtracted after the day's own balance
     * @param  int  $today  day of the record from which it may be due
     * @param  int  $last  last day to look at
     */
    public function due(int $up, array $given, int $today, int $last): Due
    {
        [$used, $mayUse] = $this->course($up, $last);
        $first = $up + 1;

        return self::walked($first, $given, $today, $last, function (int $day, float $gone) use ($first, $used, $mayUse): array {
            $limit = $mayUse[$day - $first];
            $gone += $used[$day - $first] - $this->water->reaching[$day];

            return [min($limit / $this->crop->watering->depletion(), max(0.0, $gone)), $limit];
        });
    }

    /**
     * The same for the seedbed of a sowing that is not up yet: its top is sprinkled when half of what can evaporate from it is gone.
     *
     * @param  array<int, float|null>  $given  as for due()
     */
    public function seedbedDue(int $sown, array $given, int $today, int $last): Due
    {
        $limit = self::SEEDBED_MAY_DRY * $this->seedbed->most;

        return self::walked($sown + 1, $given, $today, $last, fn (int $day, float $gone): array => [
            $this->seedbed->dried($gone, $this->water->reaching[$day], $this->water->et0[$day]),
            $limit,
        ]);
    }

    /**
     * @param  array<int, float|null>  $given
     * @param  Closure(int, float): array{float, float}  $balance  mm gone in the evening of a day, and how much may be, given the day and
     *   the mm gone the evening before
     */
    private static function walked(int $from, array $given, int $today, int $last, Closure $balance): Due
    {
        $gone = 0.0;
        $rained = $since = null;
        for ($day = $from; $day <= $last; $day++) {
            [$gone, $may] = $balance($day, $gone);
            $rained = $since !== null && $gone < $may - Tolerance::SUMS && $day < $today ? $day : $rained;
            if (array_key_exists($day, $given)) {
                $gone = max(0.0, $gone - ($given[$day] ?? $gone));
            }
            $isDue = $gone >= $may - Tolerance::SUMS;
            if ($isDue && $day >= $today) {
                return new Due($day, $gone, $since, $rained);
            }
            $since = $isDue ? $since ?? $day : null;
        }

        return new Due(null, 0.0, null, $rained);
    }

    /**
     * What a crop uses from the day after it emerged, or was transplanted, and what its roots may use before it is watered.
     *
     * @param  int  $up  day of the record on which it emerged, or was transplanted
     * @param  int  $last  last day of the record to return
     * @return array{list<float>, list<float>} mm used on each day, and mm its roots may use
     */
    public function course(int $up, int $last): array
    {
        $used = $mayUse = [];
        $day = $up + 1;
        foreach ($this->stages as $stage) {
            for (; $day <= $last && ($grown = $this->growth[$day + 1] - $this->growth[$up + 1]) <= $stage['until']; $day++) {
                $used[] = ($stage['use'] + $stage['using'] * $grown) * $this->water->et0[$day];
                $mayUse[] = $stage['mayUse'] + $stage['deepening'] * $grown;
            }
        }

        return [$used, $mayUse];
    }

    private function sprinklings(int $sown, int $up): int
    {
        if ($this->route !== Route::Direct) {
            return 0;
        }
        $sprinklings = 0;
        $gone = 0.0;
        for ($day = $sown + 1; $day < $up; $day++) {
            $gone = $this->seedbed->dried($gone, $this->water->reaching[$day], $this->water->et0[$day]);
            if ($gone >= self::SEEDBED_MAY_DRY * $this->seedbed->most - Tolerance::SUMS) {
                $sprinklings++;
                $gone = 0.0;
            }
        }

        return $sprinklings;
    }
}
