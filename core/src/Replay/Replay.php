<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;

/**
 * Sows a crop on every day of the record and runs it forward on the weather that followed; docs/method.md, "Replaying".
 *
 * A run is a handful of look-ups in the season's tables. The days on which growth reaches its marks (end of youth, heat
 * counts, maturity, bulbing) come no earlier for a later sowing, so their pointers only move forward, and the whole replay
 * is linear in the days of the record.
 */
final class Replay
{
    /** Days after emergence, or setting out, in which a crop must have come to harvest. */
    public const HORIZON = 330;

    private const STUNTED_DAYS = 14;

    private const STUNTED_GROWTH = 3.0;

    /** The soil is about this much warmer than the air at which packet days hold, °C. */
    private const COLD_ABOVE_REFERENCE = 2.0;

    private const DAYS_AT_CEILING = 21;

    private const FULL_SIZE = 0.75;

    private const BULBING_FROM = 0.2;

    private const BULBING_TAKES = 0.4;

    private const AFTER_CHILL = 0.1;

    private const BOLTING_HOURS = 12.5;

    /** Sums are differences of long ones; a mark is reached within their rounding. */
    private const ROUNDING = 1e-9;

    private readonly SeasonTables $tables;

    /** @param  DailyRecord  $record as quality control leaves it */
    public function __construct(DailyRecord $record, Latitude $latitude, Site $site, private readonly LightSchool $light = LightSchool::Radiation)
    {
        $this->tables = new SeasonTables($record, $latitude, $site);
    }

    public function runs(Crop $crop, Route $route): Runs
    {
        $tables = $this->tables;
        $days = $tables->days;
        $last = $days - 1;
        $missing = $tables->missing;
        $meanSum = $tables->meanSum;
        $soilSum = $tables->soilSum;
        $direct = $route === Route::Direct;
        $maturity = new Maturity($crop);
        $needed = $maturity->growthDays($route);
        $growth = $tables->growth($crop, $this->light);
        $emergence = $direct ? $tables->emergence($crop->emergence) : [];
        $maxEmerge = $crop->emergence->maxDays;
        $coldBelow = $crop->refC + self::COLD_ABOVE_REFERENCE;
        $nextYoungFreeze = $tables->nextFreeze($crop->killYoungC);
        $nextFreeze = $tables->nextFreeze($crop->killC);
        [$hotBefore, $hotDays] = $tables->hotDays($crop->heatC);
        [$ceilingBefore, $ceilingDays] = $tables->days($crop->ceilingC);
        [$chillBefore, $chillList] = $tables->chillDays();
        $isBulb = $crop->criticalDayHours !== null;
        $nextBulbing = $isBulb ? $tables->nextDayOfHours($crop->criticalDayHours) : [];
        $nextBolting = $crop->boltChillDays > 0 ? $tables->nextDayOfHours(self::BOLTING_HOURS) : [];
        $juvenile = $isBulb ? $maturity->juvenileDays($route) : 0.0;
        $chill = (int) $crop->chillDays;
        $bolt = (int) $crop->boltChillDays;
        $sinceSowing = $chill > 0;
        $heatDays = $crop->heatDays;
        $harvestDays = $crop->harvestDays;
        $leastHarvest = $crop->minHarvestDays;
        $reference = $crop->refC;
        $youngGrowth = $crop->youngShare * $needed - self::ROUNDING;
        $heatGrowth = $crop->heatFrom * $needed - self::ROUNDING;
        $fullGrowth = $needed - self::ROUNDING;
        $never = SeasonTables::NEVER;

        $outcomes = $waits = $harvests = $ups = $ends = array_fill(0, $days, 0);
        $up = $young = $warm = $grown = $bulbStart = $late = 0;
        $lastUp = -1;
        [$outcome, $mature, $harvest, $end] = [0, 0, 0, 0];
        for ($sown = 0; $sown < $days; $sown++) {
            if ($direct) {
                if ($up <= $sown) {
                    $up = $sown + 1;
                }
                $reached = $emergence[$sown + 1] + 1.0 - self::ROUNDING;
                while ($up <= $last && $emergence[$up + 1] < $reached) {
                    $up++;
                }
                $limit = $sown + $maxEmerge;
                if ($up > $limit) {
                    if ($limit > $last) {
                        break;
                    }
                    if ($missing[$limit + 1] === $missing[$sown]) {
                        $outcomes[$sown] = ($soilSum[$limit + 1] - $soilSum[$sown + 1]) / $maxEmerge < $coldBelow ? 2 : 3;
                        $ends[$sown] = $limit;
                    }

                    continue;
                }
            } else {
                $up = $sown;
            }
            $horizon = $up + self::HORIZON;
            if ($horizon > $last || $missing[$horizon + 1] !== $missing[$sown]) {
                continue;
            }
            $ups[$sown] = $up;
            if ($up === $lastUp && ! $sinceSowing) {
                // Another sowing that came up on the same day fares the same.
                $outcomes[$sown] = $outcome;
                $ends[$sown] = $end;
                $waits[$sown] = $mature - $sown;
                $harvests[$sown] = $harvest;

                continue;
            }
            $lastUp = $up;
            $grownBefore = $growth[$up + 1];
            $harvest = 0;

            // Youth ends on the day its share of growth is reached.
            if ($young < $up) {
                $young = $up;
            }
            $reached = $grownBefore + $youngGrowth;
            while ($young < $days && $growth[$young + 1] < $reached) {
                $young++;
            }
            $freeze = $nextYoungFreeze[$up + 1];
            if ($freeze <= $young && $freeze <= $horizon) {
                $outcomes[$sown] = $outcome = 4;
                $ends[$sown] = $end = $freeze;

                continue;
            }
            // As the sums fall, without ROUNDING: the worked results count the one exact tie they hold (3 growth-days) so.
            if (! $isBulb && $growth[$up + self::STUNTED_DAYS + 1] - $grownBefore < self::STUNTED_GROWTH
                && (! $direct || ($meanSum[$up + self::STUNTED_DAYS + 1] - $meanSum[$up + 1]) / self::STUNTED_DAYS > $reference)) {
                $outcomes[$sown] = $outcome = 5;
                $ends[$sown] = $end = $up + self::STUNTED_DAYS;

                continue;
            }
            $killed = $young < $days ? $nextFreeze[$young + 1] : $never;

            // Maturity.
            if ($grown < $up) {
                $grown = $up;
            }
            $reached = $grownBefore + $fullGrowth;
            while ($grown < $days && $growth[$grown + 1] < $reached) {
                $grown++;
            }
            $mature = $grown;
            $heatFrom = 0;
            if ($isBulb) {
                if ($bulbStart < $up) {
                    $bulbStart = $up;
                }
                $reached = $grownBefore + self::BULBING_FROM * $juvenile - self::ROUNDING;
                while ($bulbStart < $days && $growth[$bulbStart + 1] < $reached) {
                    $bulbStart++;
                }
                $ready = $chill > 0 ? max($bulbStart, $chillList[$chillBefore[$sown + 1] + $chill - 1]) : $bulbStart;
                $bulbing = $ready < $days ? $nextBulbing[$ready] : $never;
                $none = $bulbing > $horizon;
                $killedBefore = $killed < $bulbing && $killed <= $horizon;
                if (! $killedBefore && ($none || self::FULL_SIZE * $juvenile - self::ROUNDING > $growth[$bulbing + 1] - $grownBefore)) {
                    $outcomes[$sown] = $outcome = 6;
                    $ends[$sown] = $end = $none ? $horizon : $bulbing;

                    continue;
                }
                if ($none) {
                    $mature = $never;
                    $heatFrom = $horizon;
                } else {
                    if ($late < $bulbing) {
                        $late = $bulbing;
                    }
                    $reached = $growth[$bulbing + 1] + self::BULBING_TAKES * $needed - self::ROUNDING;
                    while ($late < $days && $growth[$late + 1] < $reached) {
                        $late++;
                    }
                    $mature = max($grown, $late);
                    $heatFrom = $bulbing;
                }
            } else {
                if ($chill > 0) {
                    $chilled = $chillList[$chillBefore[$sown + 1] + $chill - 1];
                    if ($chilled >= $days) {
                        $mature = $never;
                    } else {
                        if ($late < $chilled) {
                            $late = $chilled;
                        }
                        $reached = $growth[$chilled + 1] + self::AFTER_CHILL * $needed - self::ROUNDING;
                        while ($late < $days && $growth[$late + 1] < $reached) {
                            $late++;
                        }
                        $mature = max($grown, $late);
                    }
                }
                if ($warm < $up) {
                    $warm = $up;
                }
                $reached = $grownBefore + $heatGrowth;
                while ($warm < $days && $growth[$warm + 1] < $reached) {
                    $warm++;
                }
                $heatFrom = $warm < $last ? $warm : $last;
            }

            // What ends the crop, in the order in which a tie is settled.
            $stop = $killed;
            $ended = 7;
            if ($bolt > 0) {
                $chilled = $chillList[$chillBefore[$up + 1] + $bolt - 1];
                $bolted = $chilled < $days ? $nextBolting[$chilled] : $never;
                if ($bolted < $stop) {
                    $stop = $bolted;
                    $ended = 8;
                }
            }
            $hot = $hotDays[$hotBefore[$heatFrom + 1] + $heatDays - 1];
            $ceiling = $ceilingDays[$ceilingBefore[$up + 1] + self::DAYS_AT_CEILING - 1];
            if ($ceiling < $hot) {
                $hot = $ceiling;
            }
            if ($hot < $stop) {
                $stop = $hot;
                $ended = 9;
            }
            if ($horizon < $stop) {
                $stop = $horizon;
                $ended = 10;
            }
            if ($stop <= $mature) {
                $outcomes[$sown] = $outcome = $ended;
                $ends[$sown] = $end = $stop;

                continue;
            }
            $harvest = $stop - $mature;
            if ($harvest > $harvestDays) {
                $harvest = $harvestDays;
            }
            $outcomes[$sown] = $outcome = $harvest < $leastHarvest ? 11 : 1;
            $waits[$sown] = $mature - $sown;
            $harvests[$sown] = $harvest;
            $ends[$sown] = $end = $mature + $harvest;
        }

        return new Runs($tables->first, $tables->sowDay, $outcomes, $waits, $harvests, $ups, $ends);
    }
}
