<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;

/** What stands behind one window of a replay. */
final readonly class WindowEvidence
{
    /**
     * @param  YearDay  $best  the day with the most harvests; the middle one of several
     * @param  SowingWindow  $span  its days that bring nearly as much as the best
     * @param  int  $harvests  years that came to a harvest from it
     * @param  int  $years  years on record for it
     * @param  int  $slackDays  days after the last one on which one may still sow with a fair chance
     * @param  array{YearDay, YearDay, YearDay}|null  $fromFirst  first harvest of a sowing on the first day: 10, 50 and 90 % of the years
     * @param  array{YearDay, YearDay, YearDay}|null  $fromLast  and of one on the last day
     */
    public function __construct(
        public YearDay $best,
        public SowingWindow $span,
        public int $harvests,
        public int $years,
        public int $slackDays,
        public ?array $fromFirst,
        public ?array $fromLast,
    ) {
    }
}
