<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;

/**
 * What to expect of a task on a day and on each day after it, from this season's members or from the years on record.
 *
 * Day i of every list is i days after the first.
 */
final readonly class Prospects
{
    /**
     * @param  non-empty-list<float>  $shares  of harvests, 0…1
     * @param  list<array<int, int>>  $counts  members, or years, by code of Outcome, codes ascending
     * @param  list<array{int, int, int}|null>  $waits  days to the first harvest, 10, 50, and 90% of those that came to one; null: none
     */
    private function __construct(public Day $from, public array $shares, public array $counts, public array $waits)
    {
    }

    /** @param  non-empty-list<Sowing>  $sowings  one per day */
    public static function ofSowings(array $sowings): self
    {
        $shares = $counts = $waits = [];
        foreach ($sowings as $sowing) {
            $shares[] = $sowing->share();
            $counts[] = $sowing->counts();
            $waits[] = $sowing->waits();
        }

        return new self($sowings[0]->on, $shares, $counts, $waits);
    }

    /** @param  int  $days  how many, at least one */
    public static function ofRecord(OutcomeRibbon $ribbon, Day $from, int $days): self
    {
        $shares = $counts = $waits = [];
        for ($i = 0; $i < $days; $i++) {
            $day = YearDay::wrap($from->yearDay()->number + $i);
            $first = $ribbon->daysToHarvest($day);
            $shares[] = $ribbon->reliability[$day->number - 1];
            $counts[] = $ribbon->counts[$day->number - 1];
            $waits[] = $first === null ? null : [$first[0], $first[1], $first[2]];
        }

        return new self($from, $shares === [] ? [0.0] : $shares, $counts, $waits);
    }

    /** The same, starting this many days later. */
    public function after(int $days): self
    {
        $shares = array_slice($this->shares, $days);

        return new self(
            $this->from->plus($days),
            $shares === [] ? [0.0] : $shares,
            array_slice($this->counts, $days),
            array_slice($this->waits, $days),
        );
    }

    /** @return int members, or years, of the first day that came to harvest */
    public function harvests(): int
    {
        return $this->counts[0][Outcome::Harvest->code()] ?? 0;
    }

    /** @return int members, or years, of the first day */
    public function count(): int
    {
        return array_sum($this->counts[0] ?? []);
    }

    /** @return Outcome|null for the first day, the most frequent outcome other than a harvest; among equals, the lowest code */
    public function loss(): ?Outcome
    {
        return Outcome::mostFrequentLoss($this->counts[0] ?? []);
    }
}
