<?php

declare(strict_types=1);

namespace Anthesis\Season;

/** How far along a plant outdoors may be, the most tender first; `stage.<value>` in words. */
enum Stage: string
{
    case UnderCover = 'under-cover';
    case Young = 'young';
    case Grown = 'grown';

    /** @return int the most tender has the lowest */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
