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
        $codes = Outcome::count() + 1;
        [$yearDay, $harvests, $sizes] = [$runs->sowDays->yearDay, $runs->harvests, $runs->sizes];
        // In the order of the record: reading it by sow day would jump about in memory.
        $all = array_fill(0, (YearDay::YEAR + 1) * $codes, 0);
        $cropped = array_fill(0, YearDay::YEAR + 1, 0.0);
        foreach ($runs->outcomes as $i => $code) {
            $day = $yearDay[$i];
            $all[$day * $codes + $code]++;
            if ($code === $harvest) {
                $cropped[$day] += $sizes === [] ? $harvests[$i] : ($sizes[$i] ?? 1.0) * $harvests[$i];
            }
        }
        $years = $counts = $shares = $harvestDays = $reasons = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $own = [];
            $n = $most = $reason = 0;
            for ($code = 1; $code < $codes; $code++) {
                $count = $all[$day * $codes + $code];
                if ($count === 0) {
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
            $harvestDays[] = $cropped[$day];
            $shares[] = $n === 0 ? 0.0 : ($own[$harvest] ?? 0) / $n;
        }

        return new self($runs, $years, $counts, WeekMean::of($shares), $harvestDays, $reasons);
    }

    /** @return list<float> the reliability of a ribbon, where nothing else of it is needed; length 365, as there */
    public static function reliabilityOf(Runs $runs): array
    {
        $harvest = Outcome::Harvest->code();
        $yearDay = $runs->sowDays->yearDay;
        $all = $harvested = array_fill(1, YearDay::YEAR, 0);
        foreach ($runs->outcomes as $i => $code) {
            if ($code === $harvest) {
                $harvested[$yearDay[$i]]++;
            }
            if ($code !== Outcome::NONE) {
                $all[$yearDay[$i]]++;
            }
        }

        return WeekMean::of(array_map(static fn (int $n, int $harvests): float => $n === 0 ? 0.0 : $harvests / $n, $all, $harvested));
    }

    /**
     * @return int years that count on most of the sow days that ever gave a harvest (on all days, if none did). A sowing that never comes
     *   up counts sooner than one whose season has to end first, and February 28 also has February 29's
     */
    public function yearsOnRecord(): int
    {
        $harvest = Outcome::Harvest->code();
        $all = $harvested = [];
        foreach ($this->years as $i => $years) {
            $all[$years] = ($all[$years] ?? 0) + 1;
            if (isset($this->counts[$i][$harvest])) {
                $harvested[$years] = ($harvested[$years] ?? 0) + 1;
            }
        }
        $days = $harvested === [] ? $all : $harvested;
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
        foreach ($this->runs->sowDays->days as $day => $days) {
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
        return $this->daysToHarvest[$day->number] ??= $this->quantiles($day->number);
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
            [$waits, $lengths] = $this->runs->harvestsOf($from->plus($i)->number);
            if ($waits === []) {
                continue;
            }
            // No quantile is earlier than the earliest of its years, or later than the latest: for most days, none has to be figured.
            $latest[$i] = $i + max($waits) + max([0, ...$lengths]);
            if ($i + min($waits) < $first) {
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

    /** @return array{int, int, int, int}|null */
    private function quantiles(int $sowDay): ?array
    {
        [$first, $lengths] = $this->runs->harvestsOf($sowDay);
        if ($first === []) {
            return null;
        }
        $last = $first;
        foreach ($lengths as $i => $days) {
            $last[$i] += max(0, $days - 1);
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
