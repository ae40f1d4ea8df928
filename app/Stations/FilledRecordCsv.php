<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\CsvText;

/** Prints a zone's filled series as CSV: one row per day, each value with the station it came from. */
final class FilledRecordCsv
{
    public static function write(ZoneRecord $record): void
    {
        $out = fopen('php://output', 'w');
        if ($out === false) {
            return;
        }
        $names = array_map(static fn (Station $s): string => $s->name, $record->stations);
        $filled = $record->filled;
        // Rain and snow, if any station measures them.
        $water = array_filter(['rain_mm' => $filled->record->rain, 'snow_cm' => $filled->record->snow]);
        CsvText::write($out, [['date', 'tmin_c', 'tmax_c', 'tmin_from', 'tmax_from', ...array_keys($water)]], "\n");
        foreach ($filled->record->minimum as $i => $minimum) {
            $from = [$filled->minimumFrom[$i], $filled->maximumFrom[$i]];
            CsvText::write(
                $out,
                [
                    [
                        $filled->record->first->plus($i)->iso(),
                        $minimum,
                        $filled->record->maximum[$i],
                        $from[0] === null ? '' : $names[$from[0]],
                        $from[1] === null ? '' : $names[$from[1]],
                        ...array_map(static fn (array $values): ?float => $values[$i], array_values($water)),
                    ],
                ],
                "\n",
            );
        }
        fclose($out);
    }
}
