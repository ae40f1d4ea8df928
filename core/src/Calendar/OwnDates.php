<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\Day;
use Anthesis\Window\SowingWindow;

/** Dates an educator set by hand for a crop, and why. */
final readonly class OwnDates
{
    /** @param  array<string, list<SowingWindow>>  $windows  by value of Route */
    public function __construct(
        public array $windows,
        public string $reason,
        public string $author,
        public Day $on,
    ) {
    }
}
