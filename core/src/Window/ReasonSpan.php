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
        $spans = [];
        $began = 0;
        $at = static fn (int $i): Reason|Outcome|null => $reasons[($from->number - 1 + $i) % YearDay::YEAR];
        for ($i = 1; $i <= YearDay::YEAR; $i++) {
            $reason = $at($began);
            if ($i < YearDay::YEAR && $at($i) === $reason) {
                continue;
            }
            if ($reason !== null) {
                $spans[] = new self($from->plus($began), $from->plus($i - 1), $reason);
            }
            $began = $i;
        }

        return $spans;
    }
}
