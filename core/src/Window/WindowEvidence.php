<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;

/** The evidence for one window of a replay. */
final readonly class WindowEvidence
{
    /**
     * @param  YearDay  $best  the day with the most harvests; the middle one if there are several
     * @param  SowingWindow  $span  its days that yield nearly as much as the best
     * @param  int  $harvests  years in which it came to harvest
     * @param  int  $years  years on record for it
     * @param  int  $slackDays  days after the last one on which there still is a fair chance
     * @param  array{YearDay, YearDay, YearDay}|null  $fromFirst  first harvest of what is sown on the first day: 10, 50, and 90% of the
     *   years
     * @param  array{YearDay, YearDay, YearDay}|null  $fromLast  the same for the last day
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
