<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;

/**
 * The simulated seasons of a crop sown, or transplanted, on each day of a record.
 *
 * Day i of every list is the i-th of the record.
 */
final readonly class Runs
{
    /** Days of the year up to the one that a leap year has another after. */
    private const FEBRUARY_28 = 59;

    /**
     * @param  SowDays  $sowDays  of the days in every list
     * @param  array<int, int>  $outcomes  codes of Outcome; NONE: does not count
     * @param  array<int, int>  $mature  day of first harvest; only if there was a harvest, long enough or too short
     * @param  array<int, int>  $harvests  days of harvest
     * @param  array<int, int>  $ups  day of emergence, or of transplanting; the sow day itself, or 0, if it did not emerge
     * @param  array<int, int>  $ends  day on which the season ended
     * @param  array<int, float>  $sizes  of bulbs, at most 1; those not listed are full-sized
     *
     * @internal made by Replay
     */
    public function __construct(
        private Day $first,
        public SowDays $sowDays,
        public array $outcomes,
        public array $mature,
        public array $harvests,
        private array $ups,
        public array $ends,
        public array $sizes = [],
    ) {
    }

    /** The same seasons, of which only those sown in the given years count. */
    public function sownIn(int $fromYear, int $toYear): self
    {
        $from = Day::numberOf($fromYear, 1, 1) - $this->first->number;
        $to = Day::numberOf($toYear, 12, 31) - $this->first->number;
        $outcomes = $this->outcomes;
        foreach ($outcomes as $i => $code) {
            if ($i < $from || $i > $to) {
                $outcomes[$i] = Outcome::NONE;
            }
        }

        return new self($this->first, $this->sowDays, $outcomes, $this->mature, $this->harvests, $this->ups, $this->ends, $this->sizes);
    }

    /**
     * What came of the seasons that count, without those sown on February 29.
     *
     * @return array<int, array<int, int>> code of Outcome by year and day of the year 1…365, both in their order
     */
    public function byYear(): array
    {
        $years = [];
        for ($year = $this->first->year(), $days = count($this->outcomes); ; $year++) {
            $start = Day::numberOf($year, 1, 1) - $this->first->number;
            if ($start >= $days) {
                return $years;
            }
            $leap = Day::isLeap($year) ? 1 : 0;
            for ($day = 1; $day <= YearDay::YEAR; $day++) {
                $code = $this->outcomes[$start + $day - 1 + ($day > self::FEBRUARY_28 ? $leap : 0)] ?? Outcome::NONE;
                if ($code !== Outcome::NONE) {
                    $years[$year][$day] = $code;
                }
            }
        }
    }

    /**
     * The seasons sown on a day of the year, 1 to 365, that came to a full harvest.
     *
     * @return array{list<int>, list<int>} days from sowing to the first harvest, and days of harvest, years in their order
     */
    public function harvestsOf(int $sowDay): array
    {
        $harvest = Outcome::Harvest->code();
        [$outcomes, $mature, $harvests] = [$this->outcomes, $this->mature, $this->harvests];
        $waits = $lengths = [];
        foreach ($this->sowDays->days[$sowDay] ?? [] as $i) {
            if ($outcomes[$i] === $harvest) {
                $waits[] = $mature[$i] - $i;
                $lengths[] = $harvests[$i];
            }
        }

        return [$waits, $lengths];
    }

    /**
     * The seasons that count, in order of sowing.
     *
     * @param  int|null  $sowDay  day of the year they were sown on, 1 to 365; null: any
     * @param  Outcome|null  $only  what came of them; null: anything
     * @return list<Run>
     */
    public function all(?int $sowDay = null, ?Outcome $only = null): array
    {
        $runs = [];
        $code = $only?->code();
        foreach ($sowDay === null ? array_keys($this->outcomes) : $this->sowDays->days[$sowDay] ?? [] as $i) {
            if ($code !== null && $this->outcomes[$i] !== $code) {
                continue;
            }
            $outcome = Outcome::fromCode($this->outcomes[$i]);
            if ($outcome !== null) {
                $came = $outcome->cameToHarvest();
                $runs[] = new Run(
                    $this->first->plus($i),
                    $outcome,
                    $came ? $this->mature[$i] - $i : null,
                    $came ? $this->harvests[$i] : 0,
                    $outcome->cameUp() ? $this->first->plus($this->ups[$i]) : null,
                    $this->first->plus($this->ends[$i]),
                );
            }
        }

        return $runs;
    }
}
