<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;

/** Finds runs of days around the year among the 365 sow days. */
final class WindowFinder
{
    /**
     * @param  list<bool>  $open  length 365, sow day i+1
     * @param  YearDay  $from  where the year starts: runs are listed from that day on, and a run of the whole year starts there
     * @return list<SowingWindow>
     */
    public static function runs(array $open, YearDay $from, int $atLeast = 1): array
    {
        if (! in_array(false, $open, true)) {
            return [new SowingWindow($from, $from->plus(-1))];
        }
        // Start on a closed day, so no run is cut in two.
        $start = $from->number - 1;
        while ($open[$start % YearDay::YEAR]) {
            $start--;
            $start = ($start + YearDay::YEAR) % YearDay::YEAR;
        }
        $runs = [];
        $began = null;
        for ($i = $start; $i <= $start + YearDay::YEAR; $i++) {
            if ($open[$i % YearDay::YEAR]) {
                $began ??= $i;
            } elseif ($began !== null) {
                if ($i - $began >= $atLeast) {
                    $runs[] = new SowingWindow(YearDay::wrap($began + 1), YearDay::wrap($i));
                }
                $began = null;
            }
        }
        usort($runs, static fn (SowingWindow $a, SowingWindow $b): int => $from->daysUntil($a->first) <=> $from->daysUntil($b->first));

        return $runs;
    }
}
