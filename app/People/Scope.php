<?php

declare(strict_types=1);

namespace App\People;

/** What a token for a program may do; never more than the person it belongs to. */
enum Scope: string
{
    case ReadZones = 'read-zones';
    case WriteLog = 'write-log';
    case ReportReadings = 'report-readings';
}
