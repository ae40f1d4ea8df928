<?php

declare(strict_types=1);

namespace App\Editions;

/** How far along the publishing of an edition is; one that waits does so for its date, or its second signature. */
enum PublicationState: string
{
    case Waiting = 'waiting';
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
}
