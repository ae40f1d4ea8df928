<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;

/**
 * Seasons of judged years inside the windows made from the others, counted year by year: seasons, harvests, and the sum of what was
 * promised.
 *
 * @phpstan-type Counted array{int, int, float}
 *
 * @internal of WindowPromises
 */
final class PromisesInside
{
    public int $runs = 0;

    public int $harvests = 0;

    public float $promised = 0.0;

    /** @var array<int, Counted> */
    public array $years = [];

    /** @var array<int, Counted> by month of sowing, 1 to 12 */
    public array $months = [];

    /** @var array<int, int> by code of Outcome */
    private array $lost = [];

    /**
     * Counts the seasons of a year.
     *
     * @param  list<int>  $days  of the year, 1…365, on which they were sown
     * @param  list<float>  $promises  length 365, of day i+1
     * @param  array<int, int>  $lostTo  by day of the year, the code of the Outcome of those that came to no harvest
     */
    public function count(int $year, array $days, array $promises, array $lostTo): void
    {
        if ($days === []) {
            return;
        }
        $harvests = 0;
        $sum = 0.0;
        foreach ($days as $day) {
            $promise = $promises[$day - 1];
            $sum += $promise;
            $this->promised += $promise;
            $month = YearDay::monthOf($day);
            [$runs, $kept, $promised] = $this->months[$month] ?? [0, 0, 0.0];
            $lost = $lostTo[$day] ?? null;
            if ($lost === null) {
                $harvests++;
                $kept++;
            } else {
                $this->lost[$lost] = ($this->lost[$lost] ?? 0) + 1;
            }
            $this->months[$month] = [$runs + 1, $kept, $promised + $promise];
        }
        $this->runs += count($days);
        $this->harvests += $harvests;
        $this->years[$year] = [count($days), $harvests, $sum];
    }

    /** @return array<string, int> seasons that came to no harvest, by Outcome */
    public function lostTo(): array
    {
        $lost = [];
        foreach ($this->lost as $code => $seasons) {
            $lost[Outcome::fromCode($code)->value ?? ''] = $seasons;
        }

        return $lost;
    }
}
