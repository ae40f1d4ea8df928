<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\Day;

/** One simulated season: a sowing, or transplanting, and how it turned out. */
final readonly class Run
{
    /**
     * @param  int|null  $daysToHarvest  from sowing or transplanting to first harvest; null: there was none
     * @param  int  $harvestDays  how long the harvest lasted
     * @param  Day|null  $up  when it emerged, or was transplanted; null: it never emerged
     * @param  Day  $ended  when it was lost, or its harvest ended
     */
    public function __construct(
        public Day $sown,
        public Outcome $outcome,
        public ?int $daysToHarvest,
        public int $harvestDays,
        public ?Day $up,
        public Day $ended,
    ) {
    }
}
