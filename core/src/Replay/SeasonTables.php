<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Emergence;
use Anthesis\Crop\FruitSet;
use Anthesis\Crop\GrowthResponse;
use Anthesis\Crop\LightSchool;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\Tolerance;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\Radiation;
use Closure;

/**
 * The weather of a record at a site, turned into look-up tables so that no simulated season is walked day by day.
 *
 * Day i is the i-th of the record. A **sum** is a list of length days + 1 whose entry i is the total over the days before i, so the total
 * over a…b is sum[b+1] − sum[a]. A **next-day table** has length days + 1; entry i is the first day on or after i on which something
 * happens, or NEVER. A **count** is a sum of ones with the list of its days.
 *
 * Tables that depend on one threshold are made once and shared by all crops.
 *
 * @internal to the replay; the lists are for its hot loop and do not leave it
 */
final class SeasonTables
{
    /** A day that never comes. */
    public const NEVER = 1 << 40;

    private const CHILL = [0.0, 10.0];

    private const FROZEN_SOIL = 0.5;

    /** Days over which a bulb's warmth is averaged. */
    private const WEEK = 7;

    /** The highest count of days anything needs, for padding. */
    private const MOST_COUNTED = 400;

    public readonly Day $first;

    public readonly int $days;

    /** Whether the record has rain or snow, which came with the method's third edition. */
    public readonly bool $hasRainOrSnow;

    public readonly SowDays $sowDays;

    /** @var list<int> sum of days without a usable minimum or maximum, after short gaps were bridged */
    public readonly array $missing;

    /** @var list<float> sum of mean air temperature, °C */
    public readonly array $meanSum;

    /** @var list<float> sum of soil temperature, °C */
    public readonly array $soilSum;

    /** @var list<float> mean air temperature of each day at the site; 0 where missing */
    private array $mean = [];

    /** @var list<float> minimum as far as freezing is concerned: with the site's protection; INF if missing */
    private array $night = [];

    /** @var list<float> minimum at the site, without its protection; INF where missing */
    private array $minimum = [];

    /** @var list<float> maximum at the site; −INF where missing */
    private array $afternoon = [];

    /** @var list<float> */
    private array $soil = [];

    /** @var list<float> hours by sow day, from index 1 */
    private readonly array $hours;

    /** @var list<float> MJ m⁻² d⁻¹ by sow day, from index 1 */
    private readonly array $radiation;

    /** @var array{list<int>, list<int>, list<int>}|null */
    private ?array $ground = null;

    /** What tables of soil temperature are made from: those who share the cache share tables made from the same. */
    private readonly string $ofSoil;

    /** What tables of the air are made from; sites on open ground have the same. */
    private readonly string $ofAir;

    /** What tables of freezes are made from. */
    private readonly string $ofNights;

    /**
     * @param  DailyRecord  $record  after quality control
     * @param  bool  $frozenGround  whether frozen ground prevents sowing
     */
    public function __construct(
        DailyRecord $record,
        public readonly Latitude $latitude,
        public readonly Site $site,
        private readonly bool $frozenGround = true,
        private readonly TableCache $cache = new TableCache(),
    ) {
        $bridged = $record->bridged();
        $soil = SoilTemperature::of($record, $latitude, $site)->dailyMean;
        $this->first = $record->first;
        $this->days = $record->days();
        $this->hasRainOrSnow = $record->rain !== null || $record->snow !== null;
        $weather = [$cache->numberOf($record), $latitude->degrees];
        $this->ofSoil = 'soil '.json_encode([...$weather, $site]);
        $this->ofAir = 'air '.json_encode([...$weather, $site->air]);
        $this->ofNights = 'nights '.json_encode([...$weather, $site->air, $site->protection]);
        $this->hours = [0.0, ...DayLength::throughTheYear($latitude)];
        $this->radiation = [0.0, ...Radiation::throughTheYear($latitude)];
        $this->sowDays = SowDays::from($record->first, $this->days);
        $missing = [0];
        $meanSum = $soilSum = [0.0];
        $gone = 0;
        $means = $soils = 0.0;
        foreach ($bridged->minimum as $i => $minimum) {
            $maximum = $bridged->maximum[$i];
            $known = $minimum !== null && $maximum !== null;
            $mean = $known ? ($minimum + $maximum) / 2 + $site->air : 0.0;
            $this->mean[] = $mean;
            $this->night[] = $known ? $minimum + $site->air + $site->protection : INF;
            $this->minimum[] = $known ? $minimum + $site->air : INF;
            $this->afternoon[] = $known ? $maximum + $site->air : -INF;
            $this->soil[] = $soil[$i] ?? 0.0;
            $missing[] = $gone += $known ? 0 : 1;
            $meanSum[] = $means += $mean;
            $soilSum[] = $soils += $soil[$i] ?? 0.0;
        }
        $this->missing = $missing;
        $this->meanSum = $meanSum;
        $this->soilSum = $soilSum;
    }

    /** @return list<float> sum of the shares of emergence that each day's soil gives */
    public function emergence(Emergence $emergence): array
    {
        return $this->sums(
            $this->ofSoil,
            'emergence '.json_encode($emergence->days),
            fn (): array => $this->emergenceSum($emergence),
        );
    }

    /** @return int|null the day on which what is sown on a day emerges; null: not within the record */
    public function emerged(Emergence $emergence, int $sown): ?int
    {
        $sum = $this->emergence($emergence);
        for ($day = $sown + 1; $day < $this->days; $day++) {
            if ($sum[$day + 1] >= $sum[$sown + 1] + 1.0 - Tolerance::SUMS) {
                return $day;
            }
        }

        return null;
    }

    /** @return list<float> sum of growth-days */
    public function growth(Crop $crop, LightSchool $light): array
    {
        $curve = $crop->growth;
        $key = "growth {$curve->baseC} {$curve->optLowC} {$curve->optHighC} {$curve->ceilingC} {$curve->refC} {$light->value}";

        return $this->sums($this->ofAir, $key, fn (): array => $this->growthSum($crop, $light));
    }

    /** @return list<int> next day on which the screen minimum, with the site's help, or the soil is at or below this, °C */
    public function nextFreeze(float $celsius, bool $ofSoil = false): array
    {
        return $ofSoil
            ? $this->nextDays($this->ofSoil, "frozen soil {$celsius}", fn (): array => $this->nextAtMost($this->soil, $celsius))
            : $this->nextDays($this->ofNights, "freeze {$celsius}", fn (): array => $this->nextAtMost($this->night, $celsius));
    }

    /**
     * The ground as any sowing meets it. A sowing that fails on its own day counts if its season is on record.
     *
     * @return array{list<int>, list<int>, list<int>} days on which it can be opened; frozen days on which a failure counts; and all days on
     *   which one counts
     */
    public function ground(): array
    {
        return $this->ground ??= $this->openAndFrozen();
    }

    /** @return list<float> sum of growth-days on days with at least this many hours */
    public function longDayGrowth(Crop $crop, LightSchool $light, float $hours): array
    {
        $growth = $this->growth($crop, $light);
        $sum = [0.0];
        $total = 0.0;
        foreach ($this->sowDays->yearDay as $i => $day) {
            if ($this->hours[$day] >= $hours) {
                $total += $growth[$i + 1] - $growth[$i];
            }
            $sum[] = $total;
        }

        return $sum;
    }

    /**
     * @param  float|null  $celsius  needed as the mean of the day and the six before it; null: nothing needed
     * @return list<int> next day on which a bulb that is ready starts bulbing
     */
    public function nextBulbing(float $hours, ?float $celsius): array
    {
        return $celsius === null
            ? $this->nextDayOfHours($hours)
            : $this->nextDays(
                $this->ofAir,
                "bulbing {$hours} {$celsius}",
                fn (): array => $this->nextAtMost($this->bulbing($hours, $celsius), -1.0),
            );
    }

    /** @return list<int> next day with at least this many hours */
    public function nextDayOfHours(float $hours): array
    {
        return $this->nextDays(
            $this->ofAir,
            "hours {$hours}",
            fn (): array => $this->nextAtMost(array_map(fn (int $day): float => -$this->hours[$day], $this->sowDays->yearDay), -$hours),
        );
    }

    /** @return array{list<int>, list<int>} count of days with a maximum at or above this, °C, and those days */
    public function hotDays(float $celsius): array
    {
        return $this->counts($this->ofAir, "hot {$celsius}", fn (): array => $this->countFrom($this->afternoon, $celsius));
    }

    /** @return array{list<int>, list<int>} count of days with a mean at or above this, °C, and those days */
    public function days(float $celsius): array
    {
        return $this->counts($this->ofAir, "mean {$celsius}", fn (): array => $this->countFrom($this->mean, $celsius));
    }

    /** @return array{list<int>, list<int>} count of days whose night and afternoon allow fruit set, and those days */
    public function settingDays(FruitSet $set): array
    {
        $key = 'set '.json_encode([$set->nightLowC, $set->nightHighC, $set->dayHighC]);

        return $this->counts($this->ofAir, $key, function () use ($set): array {
            $low = ($set->nightLowC ?? -INF) - Tolerance::SUMS;
            $high = ($set->nightHighC ?? INF) + Tolerance::SUMS;
            $day = ($set->dayHighC ?? INF) + Tolerance::SUMS;
            $sets = [];
            foreach ($this->minimum as $i => $night) {
                $sets[] = $night !== INF && $night >= $low && $night <= $high && $this->afternoon[$i] <= $day ? 1.0 : 0.0;
            }

            return $this->countFrom($sets, 1.0);
        });
    }

    /** @return array{list<int>, list<int>} count of days with a mean of 0…10 °C, and those days */
    public function chillDays(): array
    {
        return $this->counts($this->ofAir, 'chill', function (): array {
            [$low, $high] = self::CHILL;
            // Missing days have a mean of 0, but are not cold days.
            $cold = [];
            foreach ($this->mean as $i => $celsius) {
                $cold[] = $celsius >= $low && $celsius <= $high && $this->missing[$i + 1] === $this->missing[$i] ? 1.0 : 0.0;
            }

            return $this->countFrom($cold, 1.0);
        });
    }

    /**
     * @param  Closure(): list<int>  $make
     * @return list<int>
     */
    private function nextDays(string $of, string $key, Closure $make): array
    {
        return $this->cache->get($of, $key, $this->days + 1, 1, $make);
    }

    /**
     * @param  Closure(): list<float>  $make
     * @return list<float>
     */
    private function sums(string $of, string $key, Closure $make): array
    {
        return $this->cache->get($of, $key, $this->days + 1, 1, $make);
    }

    /**
     * @param  Closure(): array{list<int>, list<int>}  $make
     * @return array{list<int>, list<int>}
     */
    private function counts(string $of, string $key, Closure $make): array
    {
        return $this->cache->get($of, $key, $this->days + 1, 2, $make);
    }

    /** @return list<float> −1 on a day that is long enough after a week that is warm enough, otherwise 0 */
    private function bulbing(float $hours, float $celsius): array
    {
        $days = [];
        foreach ($this->sowDays->yearDay as $i => $day) {
            $from = max(0, $i + 1 - self::WEEK);
            $known = $i + 1 - $from - ($this->missing[$i + 1] - $this->missing[$from]);
            // Missing days count as 0 in the sum, and not among the days.
            $days[] =
                $this->hours[$day] >= $hours && $known > 0 && $celsius * $known <= $this->meanSum[$i + 1] - $this->meanSum[$from]
                    ? -1.0
                    : 0.0;
        }

        return $days;
    }

    /** @return list<float> */
    private function emergenceSum(Emergence $emergence): array
    {
        // The rate is linear between the table's temperatures. It is written out because it runs for each day of each table.
        $rates = array_map(static fn (?float $days): float => $days === null ? 0.0 : 1 / $days, $emergence->days);
        $top = count($rates) - 1;
        $sum = [0.0];
        $total = 0.0;
        foreach ($this->soil as $celsius) {
            $position = $celsius / Emergence::STEP;
            if ($position >= 0.0 && $position <= $top) {
                $lower = (int) $position;
                if ($lower === $top) {
                    $lower--;
                }
                $share = $position - $lower;
                $total += (1 - $share) * $rates[$lower] + $share * $rates[$lower + 1];
            }
            $sum[] = $total;
        }

        return $sum;
    }

    /** @return list<float> */
    private function growthSum(Crop $crop, LightSchool $light): array
    {
        $full = (new GrowthResponse($crop))->at(($crop->growth->optLowC + $crop->growth->optHighC) / 2);
        $shares = [];
        foreach ($this->hours as $day => $hours) {
            $shares[] = $full * $light->share($this->radiation[$day], $hours);
        }
        [$base, $low, $high, $ceiling] = [
            $crop->growth->baseC,
            $crop->growth->optLowC,
            $crop->growth->optHighC,
            $crop->growth->ceilingC,
        ];
        $rise = 1 / ($low - $base);
        $fall = 1 / ($ceiling - $high);
        $sum = [0.0];
        $total = 0.0;
        $sowDay = $this->sowDays->yearDay;
        // The trapezoid of GrowthResponse, written out because this runs for each day of each crop.
        foreach ($this->mean as $i => $celsius) {
            if ($celsius > $base && $celsius < $ceiling) {
                $share = $celsius < $low ? ($celsius - $base) * $rise : ($celsius <= $high ? 1.0 : ($ceiling - $celsius) * $fall);
                $total += $share * $shares[$sowDay[$i]];
            }
            $sum[] = $total;
        }

        return $sum;
    }

    /** @return array{list<int>, list<int>, list<int>} */
    private function openAndFrozen(): array
    {
        $open = $frozen = $counted = [];
        $last = $this->days - Replay::HORIZON;
        foreach ($this->soil as $day => $celsius) {
            $counts = $day < $last && $this->missing[$day + Replay::HORIZON + 1] === $this->missing[$day];
            if ($counts) {
                $counted[] = $day;
            }
            if ($celsius > self::FROZEN_SOIL || ! $this->frozenGround) {
                $open[] = $day;
            } elseif ($counts) {
                $frozen[] = $day;
            }
        }

        return [$open, $frozen, $counted];
    }

    /**
     * @param  list<float>  $values
     * @return list<int> next-day table of values at or below a limit
     */
    private function nextAtMost(array $values, float $limit): array
    {
        $next = array_fill(0, $this->days + 1, self::NEVER);
        $day = self::NEVER;
        for ($i = $this->days - 1; $i >= 0; $i--) {
            if ($values[$i] <= $limit) {
                $day = $i;
            }
            $next[$i] = $day;
        }

        return array_values($next);
    }

    /**
     * @param  list<float>  $values
     * @return array{list<int>, list<int>} count of values at or above a limit, and their days
     */
    private function countFrom(array $values, float $limit): array
    {
        $before = [0];
        $days = [];
        $n = 0;
        foreach ($values as $i => $value) {
            if ($value >= $limit) {
                $days[] = $i;
                $n++;
            }
            $before[] = $n;
        }

        return [$before, array_merge($days, array_fill(0, self::MOST_COUNTED, self::NEVER))];
    }
}
