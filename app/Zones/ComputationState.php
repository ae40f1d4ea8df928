<?php

declare(strict_types=1);

namespace App\Zones;

/** How far along a computation is. */
enum ComputationState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
}
