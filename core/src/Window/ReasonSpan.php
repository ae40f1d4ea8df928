<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;

/** A run of days outside the windows that share a reason. */
final readonly class ReasonSpan
{
    public function __construct(public YearDay $first, public YearDay $last, public Reason|Outcome $reason)
    {
    }

    /**
     * @param  list<Reason|Outcome|null>  $reasons  length 365, sow day i+1; null inside a window
     * @return list<self> from the given day on around the year
     */
    public static function of(array $reasons, YearDay $from): array
    {
        $cut = $from->number - 1;
        $spans = [];
        $began = 0;
        $reason = $reasons[$cut];
        foreach ([...array_slice($reasons, $cut), ...array_slice($reasons, 0, $cut), false] as $i => $next) {
            if ($next === $reason) {
                continue;
            }
            if ($reason !== null && $reason !== false) {
                $spans[] = new self($from->plus($began), $from->plus($i - 1), $reason);
            }
            $began = $i;
            $reason = $next;
        }

        return $spans;
    }
}
