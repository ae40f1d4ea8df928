<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Replay\Sowings;

/** A stretch of a crop's life in a replay. */
interface Step
{
    /** Takes all plantings still alive through this stretch: settles those that end in it, and notes the days of the others. */
    public function take(Sowings $sowings): void;
}
