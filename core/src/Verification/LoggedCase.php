<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Record\Day;
use Anthesis\Window\SowingWindow;

/** A planting of the log beside the windows it is judged by. */
final readonly class LoggedCase
{
    /**
     * @param  Day  $on  day of sowing, or of transplanting
     * @param  list<SowingWindow>  $windows  of its crop and way of growing
     * @param  list<SowingWindow>  $harvests  the harvest each of them promises, in their order
     * @param  Day|null  $firstPicked  null: not harvested yet, or nobody wrote it down
     * @param  string|null  $lostTo  of LossCause; null: it was not lost
     */
    public function __construct(
        public Day $on,
        public array $windows,
        public array $harvests,
        public ?Day $firstPicked,
        public ?string $lostTo,
    ) {
    }
}
