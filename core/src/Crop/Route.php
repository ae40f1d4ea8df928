<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How a crop gets into the ground. */
enum Route: string
{
    case Direct = 'direct';
    case Transplant = 'transplant';
}
