<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Record\Element;

/**
 * A table with a row a day: date, minimum, maximum, in columns of any name and order; with or without a heading; commas,
 * semicolons, tabs or bars; decimal points or commas; dates with the year, the day or the month first. The wide daily
 * summaries (STATION, DATE, TMAX, TMIN, with columns of attributes) are such a table too.
 *
 * The unit is taken from the column names ("tmin_f", "Max (°C)") or, where they say nothing, from the values: a place where
 * ten or more days of a year are above 60 is measured in °F, above 150 in tenths of °C.
 */
final class DailyTable implements StationFormat
{
    public const HEADING_REMEDY = 'The first row must name a date, a minimum and a maximum, for example “date,tmin_c,tmax_c”.';

    private const MISSING = ['', '-', 'na', 'n/a', 'nan', 'null', 'm', '-9999', '-9999.0', '-999', '-999.0', '-99.9', '-999.9', '9999', '9999.9'];

    private const NAMES = [
        'date' => ['date', 'day', 'datum', 'obs_date', 'observation_date'],
        'minimum' => ['tmin', 'min', 'minimum', 'tn', 'low', 'min_temp', 'temp_min', 'mintemp', 'minimum_temperature', 'temperature_min'],
        'maximum' => ['tmax', 'max', 'maximum', 'tx', 'high', 'max_temp', 'temp_max', 'maxtemp', 'maximum_temperature', 'temperature_max'],
        'station' => ['station', 'station_id', 'id', 'stationid'],
        'minimum_flags' => ['tmin_attributes'],
        'maximum_flags' => ['tmax_attributes'],
    ];

    private const IN_WORDS = ['date' => 'a date', 'minimum' => 'the daily minimum', 'maximum' => 'the daily maximum',
        'station' => 'the station', 'minimum_flags' => 'the attributes of the minimum', 'maximum_flags' => 'the attributes of the maximum'];

    public function recognises(array $head): bool
    {
        return true;
    }

    public function read(LineSource $lines, ReadingChoices $choices): iterable
    {
        $head = array_values(array_filter($lines->peek(400), static fn (string $line): bool => trim($line) !== ''));
        $delimiter = $choices->delimiter ?? Delimited::delimiterOf($head[0]);
        $rows = array_map(static fn (string $line): array => Delimited::cells($line, $delimiter), $head);
        $hasHeading = ! $this->looksLikeARow($rows[0]);
        [$headingLine, $names] = $this->heading($lines, $hasHeading, $rows[0], $delimiter);
        $columns = $this->columns($headingLine, $names, $hasHeading ? array_slice($rows, 1) : $rows, $hasHeading, $choices);
        $stated = $hasHeading ? $this->statedUnit($headingLine, $names[$columns['minimum']], $names[$columns['maximum']]) : null;
        $order = $choices->dateOrder ?? $this->dateOrder($headingLine, $names[$columns['date']],
            array_map(static fn (array $row): string => $row[$columns['date']] ?? '', $hasHeading ? array_slice($rows, 1) : $rows));
        $layout = new TableLayout($delimiter, $names, $columns, $stated, $order);

        $stations = new StationSequence($choices);
        while (($line = $lines->next()) !== null) {
            if (trim($line, " \t,;|") === '') {
                continue;
            }
            $cells = Delimited::cells($line, $delimiter);
            $station = isset($columns['station']) ? ($cells[$columns['station']] ?? '') : null;
            if (! $stations->wants($station)) {
                continue;
            }
            [$series, $ended] = $stations->turnTo($station, $lines->number);
            if ($ended !== null) {
                yield $this->reading($ended, $layout, $choices);
            }
            $this->row($series, $lines->number, $cells, $layout);
        }
        if ($stations->current !== null || $choices->station === null) {
            yield $this->reading($stations->current ?? new SeriesBuilder(null, null), $layout, $choices);
        }
    }

    private function reading(SeriesBuilder $series, TableLayout $layout, ReadingChoices $choices): DailyRecordReading
    {
        if ($series->isEmpty()) {
            $why = $series->refused === [] ? 'it has a heading and no rows'
                : "no row could be read; line {$series->refused[0]->line}: {$series->refused[0]->reason}";
            throw FormatError::inFile("There is no day in this file: {$why}.");
        }
        $names = $layout->names;

        return StationFileReader::reading(RecordFormat::Table, $series, $choices,
            ['date' => $names[$layout->columns['date']], 'minimum' => $names[$layout->columns['minimum']], 'maximum' => $names[$layout->columns['maximum']]],
            $names, $layout->stated, $layout->order, $layout->delimiter);
    }

    /** @param  list<string>  $cells */
    private function row(SeriesBuilder $series, int $line, array $cells, TableLayout $layout): void
    {
        $series->rows++;
        $columns = $layout->columns;
        $date = $cells[$columns['date']] ?? '';
        $day = $layout->order->read($date);
        if ($day === null) {
            $written = ['year-first' => 'YYYY-MM-DD', 'day-first' => 'DD.MM.YYYY', 'month-first' => 'MM/DD/YYYY'][$layout->order->value];
            $series->refuse($line, $layout->names[$columns['date']], '“'.Delimited::shown($date)."” is not a date written as {$written}");

            return;
        }
        $before = $series->lastDay();
        if ($before !== null && $day < $before) {
            throw StationFileReader::backwards($line, $layout->names[$columns['date']], $day, $before);
        }
        $minimum = $this->value($series, $line, $layout, 'minimum', $cells);
        $maximum = $this->value($series, $line, $layout, 'maximum', $cells);
        if ($minimum === false || $maximum === false) {
            return;
        }
        $series->day($line, $layout->names[$columns['date']], $day);
        $series->value($line, $day, Element::Minimum, $minimum, self::flagged($cells, $columns['minimum_flags'] ?? null));
        $series->value($line, $day, Element::Maximum, $maximum, self::flagged($cells, $columns['maximum_flags'] ?? null));
    }

    /**
     * @param  list<string>  $cells
     * @return float|null|false null where missing, false where the row was refused
     */
    private function value(SeriesBuilder $series, int $line, TableLayout $layout, string $what, array $cells): float|null|false
    {
        $text = $cells[$layout->columns[$what]] ?? '';
        if (is_numeric($text) && ! str_contains($text, '99')) {
            return (float) $text;
        }
        $text = str_replace('−', '-', $text);
        if ($layout->delimiter !== ',') {
            $text = str_replace(',', '.', $text);
        }
        if (in_array(strtolower($text), self::MISSING, true)) {
            return null;
        }
        $column = $layout->names[$layout->columns[$what]];
        if (preg_match('/^([+-]?(?:\d+(?:\.\d*)?|\.\d+))\s*°?\s*([cf])?$/iu', $text, $found) !== 1) {
            $series->refuse($line, $column, '“'.Delimited::shown($text).'” is not a temperature');

            return false;
        }
        if (isset($found[2])) {
            $unit = strtolower($found[2]) === 'c' ? TemperatureUnit::Celsius : TemperatureUnit::Fahrenheit;
            $rest = $layout->stated ?? $series->unitInCells ?? $unit;
            if ($unit !== $rest) {
                throw FormatError::at($line, '“'.Delimited::shown($text)."” is in {$unit->symbol()} and the rest of the file in {$rest->symbol()}. Bring the file in one unit.", $column);
            }
            $series->unitInCells = $unit;
        }

        return (float) $found[1];
    }

    /**
     * The second of a value's attributes (measurement, quality, source) is the source's own doubt.
     *
     * @param  list<string>  $cells
     */
    private static function flagged(array $cells, ?int $column): bool
    {
        return $column !== null && trim(explode(',', $cells[$column] ?? '')[1] ?? '') !== '';
    }

    /** @param  list<string>  $cells */
    private function looksLikeARow(array $cells): bool
    {
        $dates = array_filter($cells, static fn (string $cell): bool => preg_match('/^\d{4}-?\d{2}-?\d{2}|^\d{1,2}[.\/-]\d{1,2}[.\/-]\d{4}/', $cell) === 1);

        return $dates !== [];
    }

    /**
     * @param  list<string>  $first
     * @return array{int, non-empty-list<string>} line and names of the columns
     */
    private function heading(LineSource $lines, bool $hasHeading, array $first, string $delimiter): array
    {
        if (! $hasHeading) {
            return [1, array_map(static fn (int $i): string => 'column '.($i + 1), array_keys($first)) ?: ['column 1']];
        }
        while (($line = $lines->next()) !== null && trim($line) === '') {
            continue;
        }

        return [$lines->number, Delimited::cells((string) $line, $delimiter) ?: ['']];
    }

    /**
     * @param  list<string>  $names
     * @param  list<list<string>>  $rows
     * @return array{date: int, minimum: int, maximum: int, station?: int, minimum_flags?: int, maximum_flags?: int}
     */
    private function columns(int $line, array $names, array $rows, bool $hasHeading, ReadingChoices $choices): array
    {
        if ($choices->columns !== null) {
            foreach ($choices->columns as $what => $column) {
                if (! isset($names[$column])) {
                    throw FormatError::at($line, 'there is no column '.($column + 1).' to take '.self::IN_WORDS[$what].' from; there are '.count($names).'.');
                }
            }

            return $choices->columns;
        }
        if (! $hasHeading) {
            return $this->guessed($rows);
        }
        $columns = [];
        foreach (self::NAMES as $what => $known) {
            foreach ($names as $i => $name) {
                if (in_array(Delimited::bare($name), $known, true)) {
                    if (isset($columns[$what])) {
                        throw FormatError::at($line, self::IN_WORDS[$what]." is given twice, as “{$names[$columns[$what]]}” and “{$name}”. Keep one of them.");
                    }
                    $columns[$what] = $i;
                }
            }
            if (! isset($columns[$what]) && in_array($what, ['date', 'minimum', 'maximum'], true)) {
                $found = implode(', ', array_map(static fn (string $n): string => '“'.Delimited::shown($n).'”', array_slice($names, 0, 8)));
                throw FormatError::at($line, 'no column for '.self::IN_WORDS[$what]." among {$found}. ".self::HEADING_REMEDY);
            }
        }

        /** @var array{date: int, minimum: int, maximum: int, station?: int, minimum_flags?: int, maximum_flags?: int} $columns */
        return $columns;
    }

    /**
     * Without a heading: the date is where dates stand, and of the first two columns of numbers the lower is the minimum.
     *
     * @param  list<list<string>>  $rows
     * @return array{date: int, minimum: int, maximum: int}
     */
    private function guessed(array $rows): array
    {
        $date = null;
        $sums = [];
        foreach ($rows as $cells) {
            foreach ($cells as $i => $cell) {
                if ($this->looksLikeARow([$cell])) {
                    $date ??= $i;
                } elseif (is_numeric(str_replace(',', '.', $cell))) {
                    $sums[$i] = ($sums[$i] ?? 0.0) + (float) str_replace(',', '.', $cell);
                }
            }
        }
        ksort($sums);
        $two = array_slice($sums, 0, 2, true);
        if ($date === null || count($two) < 2) {
            throw FormatError::at(1, 'without a heading, a date and two columns of temperatures are needed. '.self::HEADING_REMEDY);
        }
        asort($two);
        [$minimum, $maximum] = array_keys($two);

        return ['date' => $date, 'minimum' => $minimum, 'maximum' => $maximum];
    }

    /** @param  list<string>  $dates */
    private function dateOrder(int $line, string $column, array $dates): DateOrder
    {
        return DateOrder::of($dates) ?? throw FormatError::at($line,
            'these dates could have the day or the month first. Say which, or write them as YYYY-MM-DD.', $column);
    }

    private function statedUnit(int $line, string $minimum, string $maximum): ?TemperatureUnit
    {
        [$low, $high] = [Delimited::unitIn($minimum), Delimited::unitIn($maximum)];
        if ($low !== null && $high !== null && $low !== $high) {
            throw FormatError::at($line, "“{$minimum}” is in {$low->symbol()} and “{$maximum}” in {$high->symbol()}. Bring both in one unit.");
        }

        return $low ?? $high;
    }
}
