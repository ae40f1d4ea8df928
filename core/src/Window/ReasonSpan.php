<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\SowDay;

/** A run of days outside the windows that share a reason. */
final readonly class ReasonSpan
{
    public function __construct(public SowDay $first, public SowDay $last, public Reason $reason) {}

    /**
     * @param  list<Reason|null>  $reasons  length 365, sow day i+1; null inside a window
     * @return list<self> from the given day on around the year
     */
    public static function of(array $reasons, SowDay $from): array
    {
        $spans = [];
        $first = null;
        for ($i = 0; $i <= SowDay::YEAR; $i++) {
            $day = $from->plus($i);
            $here = $i === SowDay::YEAR ? null : $reasons[$day->number - 1];
            $before = $i === 0 ? null : $reasons[$from->plus($i - 1)->number - 1];
            if ($here !== $before || $i === SowDay::YEAR) {
                if ($before !== null && $first !== null) {
                    $spans[] = new self($first, $day->plus(-1), $before);
                }
                $first = $day;
            }
        }

        return $spans;
    }
}
