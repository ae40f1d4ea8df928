<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;

/** Which day of the year each day of a record is, both ways. February 29 counts as the 28th. Day i is the i-th of the record. */
final readonly class SowDays
{
    /**
     * @param  list<int>  $yearDay  by day of the record, 1…365
     * @param  array<int, list<int>>  $days  by day of the year, 1…365: its days of the record, ascending
     */
    private function __construct(public array $yearDay, public array $days)
    {
    }

    /** @param  list<int>  $yearDay  by day of the record, 1…365 */
    public static function of(array $yearDay): self
    {
        $days = array_fill(1, YearDay::YEAR, []);
        foreach ($yearDay as $i => $sowDay) {
            $days[$sowDay][] = $i;
        }

        return new self($yearDay, $days);
    }

    /** @param  int  $days  how many, starting with the first */
    public static function from(Day $first, int $days): self
    {
        return self::of($first->yearDays($days));
    }
}
