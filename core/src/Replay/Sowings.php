<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\Day;

/**
 * The plantings of a crop on every day of a record, on their way through the steps of a replay.
 *
 * Sowings that emerge on the same day have the same fate and are followed as one **plant**, named after the first day it was sown on. Only
 * if something counts from the day of sowing is each a plant of its own. Days are indices into the record.
 *
 * A step takes the ledger of outcomes and ends, settles the plants that end in it, and returns it with those still alive, which go on to
 * the next step.
 *
 * @internal to the replay: plain lists for its hot loops
 */
final class Sowings
{
    /** @var list<int> plants still alive, in order of sowing, so the days on which they reach a stage never go back */
    public array $left;

    /** @var array<int, int> by sow day: day of emergence, or of transplanting; 0 */
    public array $ups;

    /** @var array<int, int> plant of each sow day that emerged together with an earlier one */
    public array $twins = [];

    /** @var array<int, int> by plant: day on which a grown plant freezes; NEVER */
    public array $killed = [];

    /** @var array<int, int> by plant: first day of harvest; NEVER */
    public array $mature = [];

    /** @var array<int, int> by plant: first day of harvest if fruit had set right away; empty: nothing waits for fruit set */
    public array $withoutSet = [];

    /** @var array<int, int> by plant: day after which heat counts */
    public array $heatFrom = [];

    /** @var array<int, float> by plant: size of a bulb, 1 is full; other plants are not listed */
    public array $sizes = [];

    /** @var array<int, int> by sow day: days of harvest; 0 */
    public array $harvests;

    /** @var array<int, int> by sow day: code of Outcome; NONE until settled */
    private array $outcomes;

    /** @var array<int, int> by sow day: day on which it ended; 0 until settled */
    private array $ends;

    /** Whether all days of the record are sown on. */
    private readonly bool $all;

    /**
     * @param  int  $from  first day to sow on
     * @param  int  $to  last day to sow on
     */
    public function __construct(int $days, private readonly int $from, private readonly int $to)
    {
        $this->ups = $this->harvests = $this->outcomes = $this->ends = array_fill(0, $days, 0);
        $this->all = $from <= 0 && $to >= $days - 1;
    }

    /**
     * @param  list<int>  $days  ascending
     * @return list<int> those that are sown
     */
    public function sownOn(array $days): array
    {
        if ($this->all) {
            return $days;
        }
        $first = self::firstFrom($days, $this->from);

        return array_slice($days, $first, max(0, self::firstFrom($days, $this->to + 1) - $first));
    }

    /**
     * @param  list<int>  $days  ascending
     * @return int where the first day at or after this one stands in the list; its length if there is none
     */
    private static function firstFrom(array $days, int $from): int
    {
        [$low, $high] = [0, count($days)];
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($days[$middle] < $from) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /**
     * @return array{array<int, int>, array<int, int>} outcomes and ends by sow day; lent, not copied, so they must be returned with
     *   giveBack()
     */
    public function ledger(): array
    {
        $ledger = [$this->outcomes, $this->ends];
        $this->outcomes = $this->ends = [];

        return $ledger;
    }

    /**
     * @param  array<int, int>  $outcomes  codes of Outcome by sow day
     * @param  array<int, int>  $ends  by sow day
     * @param  list<int>  $left  plants still alive
     */
    public function giveBack(array $outcomes, array $ends, array $left): void
    {
        $this->outcomes = $outcomes;
        $this->ends = $ends;
        $this->left = $left;
    }

    /** @param  Day  $first  of the record */
    public function runs(Day $first, SowDays $sowDays): Runs
    {
        [$outcomes, $ends] = $this->ledger();
        [$ups, $harvests, $mature, $sizes] = [$this->ups, $this->harvests, $this->mature, $this->sizes];
        $this->ups = $this->harvests = [];
        foreach ($this->twins as $sown => $plant) {
            $outcomes[$sown] = $outcomes[$plant];
            $ends[$sown] = $ends[$plant];
            $ups[$sown] = $ups[$plant];
            $harvests[$sown] = $harvests[$plant];
            $mature[$sown] = $mature[$plant];
            if (isset($sizes[$plant])) {
                $sizes[$sown] = $sizes[$plant];
            }
        }

        return new Runs($first, $sowDays, $outcomes, $mature, $harvests, $ups, $ends, $sizes);
    }
}
