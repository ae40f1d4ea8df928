<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\Day;

/** One sowing, or transplanting, and what became of it. */
final readonly class Run
{
    /**
     * @param  int|null  $daysToHarvest  from sowing or transplanting to first harvest; null: none came
     * @param  int  $harvestDays  how long the harvest lasted
     * @param  Day|null  $up  when it came up, or was set out; null: it never did
     * @param  Day  $ended  when it was lost, or its harvest over
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
