<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What a gardener does on a date; `act.<value>` in words. */
enum Act: string
{
    case SowOutdoors = 'sow-outdoors';
    case SetOut = 'set-out';
    case Plant = 'plant';
    case StartUnderCover = 'start-under-cover';
}
