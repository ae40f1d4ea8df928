<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Climate\Quantile;
use Anthesis\Record\YearDay;

/** A crop's simulated seasons gathered by sow day: how many years each outcome had, how reliable the day is, and when harvest came. */
final class OutcomeRibbon
{
    /** @var array<int, array{int, int, int, int}|null> by sow day, filled when first used */
    private array $daysToHarvest = [];

    /**
     * @param  list<int>  $years  length 365, seasons that count on sow day i+1
     * @param  list<array<int, int>>  $counts  length 365, seasons by code of Outcome, codes ascending
     * @param  list<float>  $reliability  length 365, share of harvests, centered circular mean of seven days
     * @param  list<float>  $harvestDays  length 365, sum of size · harvest days of the seasons that came to harvest
     * @param  list<int>  $reasons  length 365, code of the most frequent outcome other than a harvest; 0: none
     */
    private function __construct(
        private readonly Runs $runs,
        public readonly array $years,
        public readonly array $counts,
        public readonly array $reliability,
        private readonly array $harvestDays,
        private readonly array $reasons,
    ) {
    }

    public static function of(Runs $runs): self
    {
        $harvest = Outcome::Harvest->code();
        $none = array_fill(0, Outcome::count() + 1, 0);
        [$outcomes, $harvests, $sizes] = [$runs->outcomes, $runs->harvests, $runs->sizes];
        $years = $counts = $shares = $harvestDays = $reasons = [];
        foreach ($runs->daysOf as $days) {
            $all = $none;
            $cropped = 0.0;
            foreach ($days as $i) {
                $code = $outcomes[$i];
                $all[$code]++;
                if ($code === $harvest) {
                    $cropped += $sizes === [] ? $harvests[$i] : ($sizes[$i] ?? 1.0) * $harvests[$i];
                }
            }
            $own = [];
            $n = $most = $reason = 0;
            foreach ($all as $code => $count) {
                if ($count === 0 || $code === Outcome::NONE) {
                    continue;
                }
                $own[$code] = $count;
                $n += $count;
                if ($count > $most && $code !== $harvest) {
                    $most = $count;
                    $reason = $code;
                }
            }
            $years[] = $n;
            $counts[] = $own;
            $reasons[] = $reason;
            $harvestDays[] = $cropped;
            $shares[] = $n === 0 ? 0.0 : $all[$harvest] / $n;
        }

        return new self($runs, $years, $counts, WeekMean::of($shares), $harvestDays, $reasons);
    }

    /** @return list<float> the reliability of a ribbon, where nothing else of it is needed; length 365, as there */
    public static function reliabilityOf(Runs $runs): array
    {
        $harvest = Outcome::Harvest->code();
        $outcomes = $runs->outcomes;
        $shares = [];
        foreach ($runs->daysOf as $days) {
            $n = $harvests = 0;
            foreach ($days as $i) {
                $code = $outcomes[$i];
                if ($code === $harvest) {
                    $harvests++;
                }
                if ($code !== Outcome::NONE) {
                    $n++;
                }
            }
            $shares[] = $n === 0 ? 0.0 : $harvests / $n;
        }

        return WeekMean::of($shares);
    }

    /**
     * @return int years that count on most of the sow days that ever gave a harvest (on all days, if none did). A sowing that never comes
     *   up counts sooner than one whose season has to end first, and February 28 also has February 29's
     */
    public function yearsOnRecord(): int
    {
        $harvested = array_filter($this->counts, static fn (array $counts): bool => isset($counts[Outcome::Harvest->code()]));
        $days = array_count_values(array_intersect_key($this->years, $harvested === [] ? $this->years : $harvested));
        krsort($days);
        arsort($days);

        return (int) array_key_first($days);
    }

    /** @return Outcome|null the most frequent outcome other than a harvest on a sow day; among equals, the lowest code; null: none */
    public function reason(YearDay $day): ?Outcome
    {
        return Outcome::fromCode($this->reasons[$day->number - 1]);
    }

    /**
     * How much of a full harvest a sowing on each day of the year brings, averaged over all years. This tells a good day from a merely
     * reliable one.
     *
     * @param  int  $wholeDays  days of a full harvest, the crop's harvest_days
     * @return list<float> length 365, 0…1: over the years that count, the mean of size · harvest days / full harvest days, 0 for those that
     *   came to no harvest; then averaged over seven days around the year
     */
    public function expectedHarvest(int $wholeDays): array
    {
        $means = [];
        foreach ($this->harvestDays as $i => $days) {
            $means[] = $this->years[$i] === 0 ? 0.0 : $days / ($this->years[$i] * $wholeDays);
        }

        return WeekMean::of($means);
    }

    /** @return list<float> length 365, days from sow day i+1 to the end of what was sown on it, averaged over the years that count */
    public function daysLived(): array
    {
        $means = [];
        foreach ($this->runs->daysOf as $day => $days) {
            $sum = 0.0;
            foreach ($days as $i) {
                $sum += $this->runs->outcomes[$i] === Outcome::NONE ? 0 : $this->runs->ends[$i] - $i;
            }
            $means[] = $sum / max(1, $this->years[$day - 1]);
        }

        return $means;
    }

    /** @return int years in which a sowing, or transplanting, on that day had this outcome */
    public function yearsOf(YearDay $day, Outcome $outcome): int
    {
        return $this->counts[$day->number - 1][$outcome->code()] ?? 0;
    }

    /**
     * Days from sowing, or transplanting, on a day of the year to harvest, in the years that came to one.
     *
     * @return array{int, int, int, int}|null the 10, 50, and 90% of days to the first harvest, and the 90% of days to the last; null if no
     *   year came to harvest
     */
    public function daysToHarvest(YearDay $day): ?array
    {
        return $this->daysToHarvest[$day->number] ??= $this->quantiles($this->runs->daysOf[$day->number]);
    }

    /**
     * When what is sown, or transplanted, on consecutive days is harvested.
     *
     * @param  YearDay  $from  the first of these days
     * @param  int  $days  how many, at most 365
     * @return array{int, int}|null days from the first of them to the earliest first harvest (10% of each day's years) and to the latest
     *   last one (90%); null if none was ever harvested
     */
    public function harvestSpan(YearDay $from, int $days): ?array
    {
        $first = PHP_INT_MAX;
        $latest = [];
        for ($i = 0; $i < $days; $i++) {
            $waits = $this->waits($this->runs->daysOf[$from->plus($i)->number]);
            if ($waits === null) {
                continue;
            }
            $latest[$i] = $i + $waits[1];
            // No quantile is earlier than the earliest of its years, or later than the latest: for most days, none has to be figured.
            if ($i + $waits[0] < $first) {
                $first = min($first, $i + ($this->daysToHarvest($from->plus($i))[0] ?? 0));
            }
        }
        if ($latest === []) {
            return null;
        }
        $last = 0;
        foreach (array_reverse($latest, true) as $i => $atMost) {
            if ($atMost > $last) {
                $last = max($last, $i + ($this->daysToHarvest($from->plus($i))[3] ?? 0));
            }
        }

        return [$first, $last];
    }

    /**
     * @param  list<int>  $sown  days of the record
     * @return array{int, int}|null the shortest wait for a first harvest and the longest for a last one
     */
    private function waits(array $sown): ?array
    {
        $harvest = Outcome::Harvest->code();
        [$outcomes, $mature, $harvests] = [$this->runs->outcomes, $this->runs->mature, $this->runs->harvests];
        $soonest = PHP_INT_MAX;
        $latest = 0;
        foreach ($sown as $i) {
            if ($outcomes[$i] === $harvest) {
                $wait = $mature[$i] - $i;
                if ($wait < $soonest) {
                    $soonest = $wait;
                }
                $wait += $harvests[$i];
                if ($wait > $latest) {
                    $latest = $wait;
                }
            }
        }

        return $latest === 0 ? null : [$soonest, $latest];
    }

    /**
     * @param  list<int>  $sown  days of the record
     * @return array{int, int, int, int}|null
     */
    private function quantiles(array $sown): ?array
    {
        $harvest = Outcome::Harvest->code();
        [$outcomes, $mature, $harvests] = [$this->runs->outcomes, $this->runs->mature, $this->runs->harvests];
        $first = $last = [];
        foreach ($sown as $i) {
            if ($outcomes[$i] === $harvest) {
                $first[] = $wait = $mature[$i] - $i;
                $last[] = $wait + max(0, $harvests[$i] - 1);
            }
        }
        if ($first === []) {
            return null;
        }
        sort($first);
        sort($last);

        return [self::dayAt($first, 0.1), self::dayAt($first, 0.5), self::dayAt($first, 0.9), self::dayAt($last, 0.9)];
    }

    /** @param  list<int>  $sorted */
    private static function dayAt(array $sorted, float $p): int
    {
        return (int) round((float) Quantile::of($sorted, $p));
    }
}
