<?php

declare(strict_types=1);

namespace Anthesis\Stations;

/** The layouts of daily station records; `record-format.<value>` in words. */
enum RecordFormat: string
{
    /** A table with one row per day: date, minimum, maximum, in columns of any name and order; also the wide daily summaries. */
    case Table = 'table';

    /** GHCN-Daily, fixed width: one line per station, month, and element, with 31 values. */
    case GhcnMonths = 'ghcn-dly';

    /** GHCN-Daily, long: one row per station, day, and element, without headings. */
    case GhcnLong = 'ghcn-long';
}
