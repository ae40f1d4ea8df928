<?php

declare(strict_types=1);

namespace Anthesis\Ground;

/** How far along a crop in a bed is. */
enum StandingKind: string
{
    case Planned = 'planned';
    case UnderWay = 'under-way';
    case Lost = 'lost';
    case Done = 'done';

    /** Whether it is finished: what is finished cannot be fixed. */
    public function isOver(): bool
    {
        return $this === self::Lost || $this === self::Done;
    }
}
