<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\YearDay;

/** A run of sow days around the year, both ends included; 365 days long if the whole year is open. */
final readonly class SowingWindow
{
    public int $days;

    public function __construct(public YearDay $first, public YearDay $last)
    {
        $this->days = $first->daysUntil($last) + 1;
    }

    public function contains(YearDay $day): bool
    {
        return $this->first->daysUntil($day) < $this->days;
    }

    public function isAllYear(): bool
    {
        return $this->days === YearDay::YEAR;
    }

    /**
     * When what is sown in this window is harvested: from the earliest first harvest of its days to the latest last one.
     *
     * @param  callable(int): (array{int, int}|null)  $harvested  days from a sow day, 1…365, to its first and last day of harvest; null: none
     * @return self|null at most a year; null if none of its days was ever harvested
     */
    public function harvest(callable $harvested): ?self
    {
        $first = PHP_INT_MAX;
        $last = 0;
        for ($i = 0; $i < $this->days; $i++) {
            $harvest = $harvested((($this->first->number + $i - 1) % YearDay::YEAR) + 1);
            if ($harvest !== null) {
                $first = min($first, $i + $harvest[0]);
                $last = max($last, $i + $harvest[1]);
            }
        }

        return $this->harvestedFrom($first === PHP_INT_MAX ? null : [$first, $last]);
    }

    /**
     * @param  array{int, int}|null  $span  days from the first of this window to the first and the last day of harvest
     * @return self|null at most a year
     */
    public function harvestedFrom(?array $span): ?self
    {
        return $span === null
            ? null
            : new self($this->first->plus($span[0]), $this->first->plus(min($span[1], $span[0] + YearDay::YEAR - 1)));
    }

    public function shifted(int $days): self
    {
        return new self($this->first->plus($days), $this->last->plus($days));
    }
}
