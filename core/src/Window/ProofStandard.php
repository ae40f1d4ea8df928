<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Record\Tolerance;

/** In how many years a planting must have come to harvest for a sow day to count as good: the educator's confidence level. */
enum ProofStandard: string
{
    case Cautious = 'cautious';
    case Reliable = 'reliable';
    case Bold = 'bold';

    /** Share of years from which a day is at least fair, at any confidence level. */
    public const FAIR = 0.5;

    /** A shorter run of good days is not a window. */
    public const LEAST_DAYS = 5;

    /**
     * Whether one of this many years can fail and the rest still reach the level. With fewer years, it asks for all of them, as bolder
     * levels do.
     */
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
