<?php

declare(strict_types=1);

namespace Anthesis\Ground;

/** How far a crop on a bed is. */
enum StandingKind: string
{
    case Planned = 'planned';
    case UnderWay = 'under-way';
    case Lost = 'lost';
    case Done = 'done';

    /** Whether it is over: what is over cannot be mended. */
    public function isOver(): bool
    {
        return $this === self::Lost || $this === self::Done;
    }
}
