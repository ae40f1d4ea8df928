<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Climate\Quantile;
use Anthesis\Record\YearDay;

/** The runs of a crop gathered by sow day: how many years each outcome had, how reliable the day is, when harvest came. */
final readonly class OutcomeRibbon
{
    /**
     * @param  list<int>  $years  length 365, runs that count on sow day i+1
     * @param  list<array<int, int>>  $counts  length 365, runs by code of Outcome
     * @param  list<float>  $reliability  length 365, share of harvests, centred circular mean of seven days
     */
    private function __construct(
        private Runs $runs,
        public array $years,
        public array $counts,
        public array $reliability,
    ) {
    }

    public static function of(Runs $runs): self
    {
        $codes = Outcome::count() + 1;
        $harvest = Outcome::Harvest->code();
        $flat = array_fill(0, YearDay::YEAR * $codes, 0);
        $sowDays = $runs->sowDays;
        foreach ($runs->outcomes as $i => $code) {
            $flat[($sowDays[$i] - 1) * $codes + $code]++;
        }
        $years = $counts = $shares = [];
        for ($day = 0; $day < YearDay::YEAR; $day++) {
            $own = [];
            $n = 0;
            for ($code = 1; $code < $codes; $code++) {
                $count = $flat[$day * $codes + $code];
                if ($count > 0) {
                    $own[$code] = $count;
                    $n += $count;
                }
            }
            $years[] = $n;
            $counts[] = $own;
            $shares[] = $n === 0 ? 0.0 : ($own[$harvest] ?? 0) / $n;
        }

        return new self($runs, $years, $counts, WeekMean::of($shares));
    }

    /**
     * @return int years that count on most of the sow days from which anything was ever harvested (of all, if none was): a sowing
     *             that never comes up counts sooner than one whose season has to end first, and 28 February has 29 February's too
     */
    public function yearsOnRecord(): int
    {
        $harvested = array_filter($this->counts, static fn (array $counts): bool => isset($counts[Outcome::Harvest->code()]));
        $days = array_count_values(array_intersect_key($this->years, $harvested === [] ? $this->years : $harvested));
        krsort($days);
        arsort($days);

        return (int) array_key_first($days);
    }

    /** @return Outcome|null the most frequent outcome other than a harvest on a sow day; of equals the one named first; null: none */
    public function reason(YearDay $day): ?Outcome
    {
        $most = $reason = 0;
        foreach ($this->counts[$day->number - 1] as $code => $count) {
            if ($count > $most && $code !== Outcome::Harvest->code()) {
                $most = $count;
                $reason = $code;
            }
        }

        return Outcome::fromCode($reason);
    }

    /**
     * @param  int  $wholeDays  of a whole harvest
     * @return list<float> length 365, see ExpectedHarvest
     */
    public function expectedHarvest(int $wholeDays): array
    {
        return ExpectedHarvest::of($this->runs, $wholeDays);
    }

    /** @return int years in which a sowing, or setting out, on the day came to an outcome */
    public function yearsOf(YearDay $day, Outcome $outcome): int
    {
        return $this->counts[$day->number - 1][$outcome->code()] ?? 0;
    }

    /**
     * Days from sowing, or setting out, to harvest in the years that came to one, by sow day.
     *
     * @return list<array{int, int, int, int}|null> length 365: the 10, 50 and 90 % of them to the first day of harvest, and the
     *                                              90 % of them to its last; null where no year did
     */
    public function daysToHarvest(): array
    {
        $harvest = Outcome::Harvest->code();
        $waits = $ends = array_fill(0, YearDay::YEAR, []);
        $sowDays = $this->runs->sowDays;
        foreach ($this->runs->outcomes as $i => $code) {
            if ($code === $harvest) {
                $day = $sowDays[$i] - 1;
                $wait = $this->runs->mature[$i] - $i;
                $waits[$day][] = (float) $wait;
                $ends[$day][] = (float) ($wait + max(0, $this->runs->harvests[$i] - 1));
            }
        }
        $days = [];
        foreach ($waits as $day => $own) {
            if ($own === []) {
                $days[] = null;

                continue;
            }
            $last = $ends[$day];
            sort($own);
            sort($last);
            $days[] = [self::dayAt($own, 0.1), self::dayAt($own, 0.5), self::dayAt($own, 0.9), self::dayAt($last, 0.9)];
        }

        return $days;
    }

    /** @param  list<float>  $sorted */
    private static function dayAt(array $sorted, float $p): int
    {
        return (int) round((float) Quantile::of($sorted, $p));
    }
}
