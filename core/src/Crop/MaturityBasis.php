<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What a variety's packet days count from. */
enum MaturityBasis: string
{
    case Sowing = 'sowing';
    case Emergence = 'emergence';
    case Transplant = 'transplant';
}
