<?php

declare(strict_types=1);

namespace Anthesis\Stations;

/** The layouts in which daily station records come; `record-format.<value>` in words. */
enum RecordFormat: string
{
    /** A table with a row a day: date, minimum, maximum, in columns of any name and order; also the wide daily summaries. */
    case Table = 'table';

    /** GHCN-Daily, fixed width: a line a station, month and element, 31 values. */
    case GhcnMonths = 'ghcn-dly';

    /** GHCN-Daily, long: a row a station, day and element, no heading. */
    case GhcnLong = 'ghcn-long';
}
