<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Climate\Quantile;
use Anthesis\Record\Day;
use Anthesis\Replay\Outcome;

/** How a crop sown, or transplanted, on a day of this season turns out in each member, whether it is done already or still ahead. */
final readonly class Sowing
{
    /**
     * @param  array<int, array{0: int, 1: int|null, 2?: int}>  $members  by year: code of Outcome, days from the day to first harvest
     *   (null: none), and days of harvest. A member in which it does not count is left out
     */
    public function __construct(public Day $on, public array $members)
    {
    }

    /** @return array<int, array{Outcome, Day|null}> by year: the outcome, and the day of first harvest */
    public function outcomes(): array
    {
        $outcomes = [];
        foreach ($this->members as $year => [$code, $days]) {
            $outcomes[$year] = [Outcome::fromCode($code) ?? Outcome::Harvest, $days === null ? null : $this->on->plus($days)];
        }

        return $outcomes;
    }

    public function count(): int
    {
        return count($this->members);
    }

    /** @return int members with this outcome */
    public function of(Outcome $outcome): int
    {
        return count(array_filter($this->members, static fn (array $member): bool => $member[0] === $outcome->code()));
    }

    /** @return array<int, int> members by code of Outcome, codes ascending */
    public function counts(): array
    {
        $counts = [];
        foreach ($this->members as $member) {
            $counts[$member[0]] = ($counts[$member[0]] ?? 0) + 1;
        }
        ksort($counts);

        return $counts;
    }

    /** @return float share of members in which it comes to harvest, 0…1; 0 without members */
    public function share(): float
    {
        return $this->members === [] ? 0.0 : ($this->counts()[Outcome::Harvest->code()] ?? 0) / count($this->members);
    }

    /** @return Outcome|null the most frequent outcome other than a harvest; among equals, the lowest code; null: none */
    public function loss(): ?Outcome
    {
        return Outcome::mostFrequentLoss($this->counts());
    }

    /** @return array{Day, Day, Day}|null the 10, 50, and 90% first harvests, of the members that come to one; null: none does */
    public function firstHarvests(): ?array
    {
        $waits = $this->waits();

        return $waits === null ? null : [$this->on->plus($waits[0]), $this->on->plus($waits[1]), $this->on->plus($waits[2])];
    }

    /** @return array{int, int, int}|null the same in days from the day */
    public function waits(): ?array
    {
        $harvest = Outcome::Harvest->code();
        $days = [];
        foreach ($this->members as [$code, $wait]) {
            if ($code === $harvest && $wait !== null) {
                $days[] = $wait;
            }
        }
        if ($days === []) {
            return null;
        }
        sort($days);

        return [self::at($days, 0.1), self::at($days, 0.5), self::at($days, 0.9)];
    }

    /** @param  non-empty-list<int>  $sorted */
    private static function at(array $sorted, float $p): int
    {
        return (int) round((float) Quantile::of($sorted, $p));
    }
}
