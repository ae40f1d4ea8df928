<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\Day;

/** One sowing, or setting out, and what became of it. */
final readonly class Run
{
    /**
     * @param  int|null  $daysToHarvest  from sowing or setting out to first harvest; null: none came
     * @param  int  $harvestDays  how long the harvest lasted
     */
    public function __construct(
        public Day $sown,
        public Outcome $outcome,
        public ?int $daysToHarvest,
        public int $harvestDays,
    ) {
    }
}
