<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\Crop;
use Anthesis\Crop\FruitSet;
use Anthesis\Crop\GrowthResponse;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\Radiation;

/**
 * The replay as one would do it by hand: a loop over the days of each run, in the order docs/method.md tells it. Slow, plain,
 * and written without a look at the fast one, which must agree with it.
 */
final class PlainReplay
{
    private const HORIZON = 330;

    /** @var list<float|null> */
    private array $soil;

    /** @var list<float> from sunrise to sunset, by day */
    private array $hours;

    /** @var list<float> that light lets grow, by day */
    private array $lit;

    private DailyRecord $days;

    public function __construct(
        private readonly DailyRecord $record,
        private readonly Latitude $latitude,
        private readonly Site $site,
        LightSchool $light,
    ) {
        $this->days = $record->bridged();
        $this->soil = SoilTemperature::of($record, $latitude, $site)->dailyMean;
        for ($day = 0; $day < $record->days(); $day++) {
            $on = YearDay::fromNumber(Day::yearDayOf($record->first->number + $day));
            $this->hours[] = DayLength::hours($latitude, $on);
            $this->lit[] = $light->share(Radiation::onDay($latitude, $on), $this->hours[$day]);
        }
    }

    /** @return array{string, int|null, int}|null outcome, days to first harvest, days of harvest; null: does not count */
    public function run(Crop $crop, Route $route, int $sown): ?array
    {
        $closed = $this->closed($crop, $sown);
        if ($closed !== null) {
            return $sown + self::HORIZON < $this->days->days() && $this->whole($sown, $sown + self::HORIZON) ? [$closed, null, 0] : null;
        }
        $up = $sown;
        if ($route === Route::Direct) {
            $limit = $sown + $crop->emergence->maxDays;
            $sum = $soil = 0.0;
            $up = null;
            for ($day = $sown + 1; $day <= $limit && $up === null; $day++) {
                if ($day >= $this->days->days()) {
                    return null;
                }
                $sum += $crop->emergence->rateAt($this->soil[$day] ?? 0.0);
                $soil += $this->soil[$day] ?? 0.0;
                $up = $sum >= 1 - 1e-9 ? $day : null;
            }
            if ($up === null) {
                return $this->whole($sown, $limit)
                    ? [$soil / $crop->emergence->maxDays < $crop->growth->refC + 2 ? 'no-emergence-cold' : 'no-emergence-hot', null, 0]
                    : null;
            }
        }
        $horizon = $up + self::HORIZON;
        if ($horizon >= $this->days->days() || ! $this->whole($sown, $horizon)) {
            return null;
        }

        return $this->season($crop, $route, $sown, $up, $horizon);
    }

    /** @return array{string, int|null, int} */
    private function season(Crop $crop, Route $route, int $sown, int $up, int $horizon): array
    {
        $maturity = new Maturity($crop);
        $needed = $maturity->growthDays($route);
        $response = new GrowthResponse($crop);
        $bulb = $crop->bulb?->criticalDayHours;
        $last = min($horizon + 60, $this->days->days() - 1);
        $growth = [$up => 0.0];
        for ($day = $up + 1; $day <= $last; $day++) {
            $growth[$day] = $growth[$day - 1] + $response->at($this->mean($day)) * $this->lit[$day];
        }
        $reached = static function (float $asked, int $from) use ($growth, $last): int {
            for ($day = $from; $day <= $last; $day++) {
                if ($asked - 1e-9 <= $growth[$day] - $growth[$from]) {
                    return $day;
                }
            }

            return PHP_INT_MAX;
        };
        $young = $reached($crop->hardiness->youngShare * $needed, $up);
        for ($day = $up + 1; $day <= min($young, $horizon); $day++) {
            if ($this->frost($crop, $day) <= $crop->hardiness->killYoungC) {
                return ['freeze-young', null, 0];
            }
        }
        $hot = 0;
        for ($day = $up + 1; $day <= $up + 14; $day++) {
            $hot += $crop->heat->youngC !== null && ($this->days->maximum[$day] ?? -99) + $this->site->air >= $crop->heat->youngC ? 1 : 0;
        }
        if ($hot >= 5) {
            return ['heat-young', null, 0];
        }
        if ($bulb === null && $growth[$up + 14] < 3.0) {
            $warmth = 0.0;
            for ($day = $up + 1; $day <= $up + 14; $day++) {
                $warmth += $this->mean($day) / 14;
            }
            if ($route === Route::Transplant || $warmth > $crop->growth->refC) {
                return ['stunted', null, 0];
            }
        }
        $killed = PHP_INT_MAX;
        for ($day = $young === PHP_INT_MAX ? $last + 1 : $young + 1; $day <= $last && $killed === PHP_INT_MAX; $day++) {
            $killed = $this->frost($crop, $day) <= $crop->hardiness->killC ? $day : PHP_INT_MAX;
        }
        $chilled = $crop->growth->chillDays > 0 ? $this->chillDay($sown, (int) $crop->growth->chillDays, $last) : $sown;
        $mature = $reached($needed, $up);
        $heatFrom = $reached($crop->heat->fromShare * $needed, $up);
        if ($bulb !== null) {
            $juvenile = $maturity->juvenileDays($route);
            $start = PHP_INT_MAX;
            for ($day = max($reached(0.2 * $juvenile, $up), $chilled); $day <= $horizon && $start === PHP_INT_MAX; $day++) {
                $start = $this->hours[$day] >= $bulb && $this->weekIsWarm($day, $crop->bulb?->fromC) ? $day : PHP_INT_MAX;
            }
            $frozen = $killed < $start && $killed <= $horizon;
            if (! $frozen && ($start === PHP_INT_MAX || $growth[$start] < 0.75 * $juvenile - 1e-9)) {
                return ['day-length', null, 0];
            }
            $mature = $start === PHP_INT_MAX ? PHP_INT_MAX : max($mature, $reached(0.4 * $needed, $start));
            $heatFrom = $start;
        } elseif ($crop->growth->chillDays > 0) {
            $mature =
                $chilled > $last
                    ? PHP_INT_MAX
                    : max(
                        $mature,
                        $chilled < $up ? $this->afterChill($growth, $up, 0.1 * $needed, $last) : $reached(0.1 * $needed, $chilled),
                    );
        }
        $ripe = $mature;
        if ($bulb === null && $crop->fruitSet !== null) {
            $mature = max($mature, $this->fruit($crop->fruitSet, $reached, $needed, $up, $last));
        }
        $stops = [
            'freeze-late' => $killed,
            'cold-bolt' => $this->bolted($crop, $reached($maturity->coldFromDays($route), $up), $last),
            'long-day-bolt' => $this->boltedByLight($crop, $maturity->boltingDays($route), $growth, $up, $last),
            'heat' => $this->heat($crop, $up, $heatFrom, $last),
            'out-of-time' => $horizon,
        ];
        $stop = min($stops);
        if ($stop <= $mature) {
            return [$ripe < $stop ? 'no-set' : (string) array_search($stop, $stops, true), null, 0];
        }
        $harvest = min($crop->harvest->days, $stop - $mature);

        return [$harvest < $crop->harvest->leastDays ? 'short-harvest' : 'harvest', $mature - $sown, $harvest];
    }

    /** @param  callable(float, int): int  $reached  the day on which so much has grown since another */
    private function fruit(FruitSet $set, callable $reached, float $needed, int $up, int $last): int
    {
        $days = 0;
        for ($day = $reached($set->fromShare * $needed, $up) + 1; $day <= $last; $day++) {
            $night = ($this->days->minimum[$day] ?? NAN) + $this->site->air;
            $noon = ($this->days->maximum[$day] ?? NAN) + $this->site->air;
            $fits =
                ! is_nan($night + $noon) &&
                $night >= ($set->nightLowC ?? -99) - 1e-9 &&
                $night <= ($set->nightHighC ?? 99) + 1e-9 &&
                $noon <= ($set->dayHighC ?? 99) + 1e-9;
            $days += $fits ? 1 : 0;
            if ($days === 5) {
                return $reached((0.9 - $set->fromShare) * $needed, $day);
            }
        }

        return PHP_INT_MAX;
    }

    /** Why nothing can be sown on a day. */
    private function closed(Crop $crop, int $sown): ?string
    {
        if ($crop->stock !== null) {
            $since = ($this->sowDay($sown)->number - ($this->latitude->degrees >= 0 ? 172 : 355) + 365) % 365;
            if ($since < $crop->stock->fromDays || $since > $crop->stock->toDays) {
                return 'no-stock';
            }
        }

        return ($this->soil[$sown] ?? 0.0) <= 0.5 ? 'ground-frozen' : null;
    }

    private function frost(Crop $crop, int $day): float
    {
        return $crop->hardiness->bySoil ? $this->soil[$day] ?? 0.0 : $this->night($day);
    }

    private function weekIsWarm(int $day, ?float $celsius): bool
    {
        $sum = $known = 0;
        for ($i = max(0, $day - 6); $i <= $day; $i++) {
            if ($this->whole($i, $i)) {
                $sum += $this->mean($i);
                $known++;
            }
        }

        return $celsius === null || ($known > 0 && $sum / $known >= $celsius);
    }

    /** @param  array<int, float>  $growth */
    private function boltedByLight(Crop $crop, float $asked, array $growth, int $up, int $last): int
    {
        if ($crop->bolting->dayHours === null) {
            return PHP_INT_MAX;
        }
        $grown = 0.0;
        for ($day = $up + 1; $day <= $last; $day++) {
            $grown += $this->hours[$day] >= $crop->bolting->dayHours ? $growth[$day] - $growth[$day - 1] : 0.0;
            if ($grown >= $asked - 1e-9) {
                return $day;
            }
        }

        return PHP_INT_MAX;
    }

    /** @param  array<int, float>  $growth */
    private function afterChill(array $growth, int $up, float $asked, int $last): int
    {
        for ($day = $up; $day <= $last; $day++) {
            if ($growth[$day] >= $asked - 1e-9) {
                return $day;
            }
        }

        return PHP_INT_MAX;
    }

    private function bolted(Crop $crop, int $from, int $last): int
    {
        if (! $crop->bolting->chillDays) {
            return PHP_INT_MAX;
        }
        for ($day = $from > $last ? PHP_INT_MAX : $this->chillDay($from, $crop->bolting->chillDays, $last); $day <= $last; $day++) {
            if ($this->hours[$day] >= 12.5) {
                return $day;
            }
        }

        return PHP_INT_MAX;
    }

    private function heat(Crop $crop, int $up, int $from, int $last): int
    {
        $hot = $scorched = 0;
        for ($day = $up + 1; $day <= $last; $day++) {
            $hot += $day > $from && ($this->days->maximum[$day] ?? -99) + $this->site->air >= $crop->heat->maximumC ? 1 : 0;
            $scorched += $this->mean($day) >= $crop->growth->ceilingC ? 1 : 0;
            if ($hot === $crop->heat->days || $scorched === 21) {
                return $day;
            }
        }

        return PHP_INT_MAX;
    }

    private function chillDay(int $from, int $asked, int $last): int
    {
        $days = 0;
        for ($day = $from + 1; $day <= $last; $day++) {
            $days += $this->mean($day) >= 0.0 && $this->mean($day) <= 10.0 && $this->whole($day, $day) ? 1 : 0;
            if ($days === $asked) {
                return $day;
            }
        }

        return PHP_INT_MAX;
    }

    private function whole(int $from, int $to): bool
    {
        for ($day = $from; $day <= $to; $day++) {
            if (($this->days->minimum[$day] ?? null) === null || ($this->days->maximum[$day] ?? null) === null) {
                return false;
            }
        }

        return true;
    }

    private function mean(int $day): float
    {
        return (($this->days->minimum[$day] ?? 0.0) + ($this->days->maximum[$day] ?? 0.0)) / 2 + $this->site->air;
    }

    private function night(int $day): float
    {
        return ($this->days->minimum[$day] ?? 99.0) + $this->site->air + $this->site->protection;
    }

    private function sowDay(int $day): YearDay
    {
        return YearDay::fromNumber(Day::yearDayOf($this->record->first->number + $day));
    }
}
