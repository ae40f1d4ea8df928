<?php

declare(strict_types=1);

namespace Anthesis\Season;

/** How far a plant may be that is out of doors, the tenderest first; `stage.<value>` in words. */
enum Stage: string
{
    case UnderCover = 'under-cover';
    case Young = 'young';
    case Grown = 'grown';

    /** @return int the tenderest's is the least */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
