<?php

declare(strict_types=1);

namespace App\Log;

/** How far along the import of a table is. */
enum LogImportState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Failed = 'failed';
}
