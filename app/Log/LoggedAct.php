<?php

declare(strict_types=1);

namespace App\Log;

/** What a line of the log tells of; `logged.<value>` in words. */
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
    case Reading = 'reading';
    case Seen = 'seen';
    case Note = 'note';

    /** Whether a sowing begins with it, where it follows on none. */
    public function begins(): bool
    {
        return $this === self::Sown || $this === self::SetOut;
    }

    /** Whether it tells of a sowing, and so needs one. */
    public function follows(): bool
    {
        return in_array($this, [self::Up, self::Thinned, self::FirstPicked, self::Picked, self::LastPicked, self::Lost], true);
    }

    public function isPicking(): bool
    {
        return in_array($this, [self::FirstPicked, self::Picked, self::LastPicked], true);
    }
}
