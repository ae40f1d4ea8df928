<?php

declare(strict_types=1);

namespace App\Stations;

/** How far along the import of a station file is. */
enum RecordImportState: string
{
    case Queued = 'queued';
    case Imported = 'imported';
    case Failed = 'failed';
}
