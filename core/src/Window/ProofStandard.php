<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\Tolerance;

/** How many years must have come to a harvest before a sow day counts as good: the educator's standard of proof. */
enum ProofStandard: string
{
    case Cautious = 'cautious';
    case Reliable = 'reliable';
    case Bold = 'bold';

    /** Share of years from which a day is at least fair, whatever the standard. */
    public const FAIR = 0.5;

    /** A shorter run of good days is no window. */
    public const LEAST_DAYS = 5;

    /** Whether so many years can fail the standard in one of them and still reach it; with fewer it asks for all, as bolder ones do. */
    public function canBeToldFrom(int $years): bool
    {
        return $years * (1 - $this->share()) >= 1 - Tolerance::SUMS;
    }

    /** @return float share of years */
    public function share(): float
    {
        return match ($this) {
            self::Cautious => 0.9,
            self::Reliable => 0.8,
            self::Bold => 0.6,
        };
    }
}
