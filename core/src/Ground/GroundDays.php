<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Runs;
use Anthesis\Succession\HarvestDays;
use Anthesis\Window\SowingWindow;

/** How long a crop stays in the ground, by the day it is sown or transplanted on, over the years on record. */
final readonly class GroundDays
{
    /**
     * Lists have length 365, for sow day i+1; null on a day that never came to harvest.
     *
     * @param  list<float>  $shares  of years that come to harvest, 0…1
     * @param  list<int|null>  $first  days to the median first harvest
     * @param  list<int|null>  $late  days by which nine of ten first harvests have come
     * @param  list<int|null>  $harvest  median days of harvest
     * @param  list<bool>  $open  whether the day lies in a window
     */
    public function __construct(public array $shares, public array $first, public array $late, public array $harvest, public array $open)
    {
    }

    /** @param  list<SowingWindow>  $windows */
    public static function of(Runs $runs, array $windows): self
    {
        $ribbon = OutcomeRibbon::of($runs);
        $harvests = HarvestDays::of($runs);
        $first = $late = $harvest = $open = [];
        foreach (range(1, YearDay::YEAR) as $number) {
            $day = YearDay::fromNumber($number);
            $waits = $ribbon->daysToHarvest($day);
            $own = $harvests->on($day);
            $known = $waits !== null && $own !== null;
            $first[] = $known ? $waits[1] : null;
            $late[] = $known ? $waits[2] : null;
            $harvest[] = $known ? $own[1] : null;
            $open[] = array_filter($windows, static fn (SowingWindow $w): bool => $w->contains($day)) !== [];
        }

        return new self($ribbon->reliability, $first, $late, $harvest, $open);
    }

    public function isOpen(Day $on): bool
    {
        return $this->open[$on->yearDay()->number - 1];
    }

    /** @return float share of years that come to harvest, 0…1 */
    public function share(Day $on): float
    {
        return $this->shares[$on->yearDay()->number - 1];
    }

    /** @return Day|null the median first harvest; null: there never was one */
    public function firstHarvest(Day $on): ?Day
    {
        $days = $this->first[$on->yearDay()->number - 1];

        return $days === null ? null : $on->plus($days);
    }

    /** @return Day|null the day by which nine of ten first harvests have come; null: there never was one */
    public function lateHarvest(Day $on): ?Day
    {
        $days = $this->late[$on->yearDay()->number - 1];

        return $days === null ? null : $on->plus($days);
    }

    /** @return Day|null the last day in the ground, as planned: nine of ten first harvests, plus the median harvest */
    public function until(Day $on): ?Day
    {
        $at = $on->yearDay()->number - 1;

        return $this->late[$at] === null || $this->harvest[$at] === null ? null : $on->plus($this->late[$at] + $this->harvest[$at]);
    }
}
