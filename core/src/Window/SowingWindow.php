<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\SowDay;

/** A circular run of sow days, both ends included; 365 days long when the whole year is open. */
final readonly class SowingWindow
{
    public int $days;

    public function __construct(public SowDay $first, public SowDay $last)
    {
        $this->days = $first->daysUntil($last) + 1;
    }

    public function contains(SowDay $day): bool
    {
        return $this->first->daysUntil($day) < $this->days;
    }

    public function isAllYear(): bool
    {
        return $this->days === SowDay::YEAR;
    }

    public function shifted(int $days): self
    {
        return new self($this->first->plus($days), $this->last->plus($days));
    }
}
