<?php

declare(strict_types=1);

namespace Anthesis\Log;

use Anthesis\Crop\Caution;
use Anthesis\Season\UnderWay;

/** What an entry of the log is about; `logged.<value>` in words. */
enum LoggedAct: string
{
    case Sown = 'sown';
    case SetOut = 'set-out';
    case Up = 'up';
    case Thinned = 'thinned';
    case FirstPicked = 'first-picked';
    case Picked = 'picked';
    case LastPicked = 'last-picked';
    case Lost = 'lost';
    case Covered = 'covered';
    case Uncovered = 'uncovered';
    case Amended = 'amended';
    case Watered = 'watered';
    case Gauge = 'gauge';
    case Reading = 'reading';
    case Seen = 'seen';
    case Note = 'note';

    /** Days from sowing to emergence for a crop that has not been chosen yet. */
    private const UP = 10;

    /** Whether it starts a planting, unless it follows one. */
    public function begins(): bool
    {
        return $this === self::Sown || $this === self::SetOut;
    }

    /** Whether it is about a planting, and so needs one. */
    public function follows(): bool
    {
        return in_array($this, [self::Up, self::Thinned, self::FirstPicked, self::Picked, self::LastPicked, self::Lost], true);
    }

    /**
     * @return int|null days after a planting came into the ground, or was started indoors, on which this is usually logged; null: on any
     */
    public function usualDay(): ?int
    {
        return match ($this) {
            self::Up => self::UP,
            self::Thinned => self::UP + UnderWay::THINNED_AFTER,
            self::SetOut => 42,
            self::FirstPicked => 60,
            default => null,
        };
    }

    /** Whether it is about a bed, and so needs one. */
    public function isOfBed(): bool
    {
        return $this === self::Watered || $this === self::Gauge;
    }

    /**
     * Whether a crop's caution belongs where this is written: seed that is handled, stock that is restricted, sap that burns, and what must
     * not be eaten, or not raw.
     */
    public function concerns(Caution $caution): bool
    {
        return match ($caution) {
            Caution::TreatedSeed => $this === self::Sown,
            Caution::SeedPotatoRules, Caution::AlliumRules, Caution::Invasive => $this->begins(),
            Caution::BitterFruit, Caution::ToxicSeeds => $this === self::Sown || $this->isPicking(),
            Caution::BurnsSkin => $this === self::SetOut || $this === self::Thinned || $this->isPicking(),
            default => $this->isPicking(),
        };
    }

    public function isPicking(): bool
    {
        return in_array($this, [self::FirstPicked, self::Picked, self::LastPicked], true);
    }
}
