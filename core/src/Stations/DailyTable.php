<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Element;
use Anthesis\Tables\Delimited;
use Anthesis\Tables\DepthUnit;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\LineSource;
use Anthesis\Tables\TemperatureUnit;

/**
 * A table with one row per day: date, minimum, maximum, in columns of any name and order; with or without headings; with commas,
 * semicolons, tabs, or bars; decimal points or commas; dates with the year, the day, or the month first. The wide daily summaries (STATION,
 * DATE, TMAX, TMIN, with columns of attributes) are such a table too.
 *
 * The unit comes from the column names ("tmin_f", "Max (°C)") or, if they do not say, from the values: a place with ten or more days a year
 * above 60 is measured in °F, above 150 in tenths of °C. Rain and the depth of snow are read if there are columns for them; without a unit,
 * they are in the unit that goes with the temperatures' (DepthUnit::usual). A bare "snow" is snowfall.
 *
 * @phpstan-import-type Columns from TableLayout
 */
final class DailyTable implements StationFormat
{
    private const MISSING = [
        '',
        '-',
        'na',
        'n/a',
        'nan',
        'null',
        'm',
        '-9999',
        '-9999.0',
        '-999',
        '-999.0',
        '-99.9',
        '-999.9',
        '9999',
        '9999.9',
    ];

    private const NAMES = [
        'date' => ['date', 'day', 'datum', 'obs_date', 'observation_date'],
        'minimum' => ['tmin', 'min', 'minimum', 'tn', 'low', 'min_temp', 'temp_min', 'mintemp', 'minimum_temperature', 'temperature_min'],
        'maximum' => ['tmax', 'max', 'maximum', 'tx', 'high', 'max_temp', 'temp_max', 'maxtemp', 'maximum_temperature', 'temperature_max'],
        // The first of these that exists.
        'station' => ['station', 'station_id', 'stationid', 'station_name', 'site', 'place', 'location', 'town', 'name', 'id'],
        'minimum_flags' => ['tmin_attributes'],
        'maximum_flags' => ['tmax_attributes'],
        'rain' => ['rain', 'prcp', 'precip', 'precipitation', 'rainfall', 'rr', 'pcp', 'total_precip', 'total_precipitation', 'precip_total'],
        'rain_flags' => ['prcp_attributes'],
        // The first of these, and of those for rain, that exists.
        'snow' => ['snwd', 'snow_depth', 'depth_of_snow', 'snow_on_ground', 'snow_lying', 'snow'],
        'snow_flags' => ['snwd_attributes'],
    ];

    /** What the daily summaries call rain and the depth of snow: their metric form gives snow in mm. */
    private const OF_SUMMARIES = ['prcp', 'snwd'];

    /** A snow column with this word means snowfall, unless a unit says that it is a depth. */
    private const SNOWFALL = 'snow';

    /** If this many rows and no other could be read, the dates are in another column. */
    private const ENOUGH_REFUSED = 2000;

    public function recognises(array $head): bool
    {
        return true;
    }

    public function read(LineSource $lines, ReadingChoices $choices): StationSurvey
    {
        $head = array_values(array_filter($lines->peek(400), static fn (string $line): bool => trim($line) !== ''));
        $delimiter = $choices->delimiter ?? Delimited::delimiterOf($head[0]);
        $rows = array_map(static fn (string $line): array => Delimited::cells($line, $delimiter), $head);
        $hasHeading = ! $this->looksLikeARow($rows[0]);
        [$headingLine, $names] = $this->heading($lines, $hasHeading, $rows[0], $delimiter);
        $data = $hasHeading ? array_slice($rows, 1) : $rows;
        try {
            $columns = $this->columns($headingLine, $names, $data, $hasHeading, $choices);
            $stated = $hasHeading ? $this->statedUnit($headingLine, $names[$columns['minimum']], $names[$columns['maximum']]) : null;
            $order =
                $choices->dateOrder ??
                $this->dateOrder(
                    $headingLine,
                    $names[$columns['date']],
                    array_map(static fn (array $row): string => $row[$columns['date']] ?? '', $data),
                );
            $layout = new TableLayout(
                $delimiter,
                $names,
                $columns,
                $stated,
                $order,
                isset($columns['station']) || $choices->places !== null ? [] : $this->perhapsPlaces($names, $columns, $data),
            );

            return $this->rows($lines, $layout, $choices);
        } catch (FormatError $error) {
            // These are the columns a person has to choose from.
            throw $error->withHeadings($names);
        }
    }

    private function rows(LineSource $lines, TableLayout $layout, ReadingChoices $choices): StationSurvey
    {
        $stations = new StationGathering($choices);
        $place = $layout->columns['station'] ?? null;
        [$before, $dayBefore] = [[], PHP_INT_MIN];
        while (($line = $lines->next()) !== null) {
            if (trim($line, " \t,;|") === '') {
                continue;
            }
            // Files of many stations have millions of rows: those of the other stations are split in the quickest way.
            if ($place !== null && $layout->delimiter !== '' && ! str_contains($line, '"')) {
                $raw = explode($layout->delimiter, $line);
                $of = trim($raw[$place] ?? '');
                if ($stations->passesBy($of)) {
                    $stations->measure($of, $layout->order->read(trim($raw[$layout->columns['date']] ?? '')));

                    continue;
                }
            }
            $cells = Delimited::cells($line, $layout->delimiter);
            $station = $place === null ? null : $cells[$place] ?? '';
            $day = $layout->order->read($cells[$layout->columns['date']] ?? '');
            $stations->measure($station, $day);
            if ($layout->perhapsPlaces !== [] && $day !== null) {
                $this->lookForPlaces($layout, $before, $cells, $day, $dayBefore);
                [$before, $dayBefore] = [$cells, $day];
            }
            $series = $stations->seriesOf($station);
            if ($series !== null) {
                $this->row($series, $lines->number, $cells, $day, $layout);
            }
        }
        if ($stations->series === null && $choices->station !== null) {
            return new StationSurvey(null, $stations->extents());
        }

        return new StationSurvey(
            $this->reading($stations->series ?? new SeriesBuilder(null, null), $layout, $choices),
            $stations->extents(),
        );
    }

    /**
     * If a date repeats, or the dates start over, just when a column changes to another word, that column names places.
     *
     * @param  list<string>  $before  cells of the previous row
     * @param  list<string>  $cells
     */
    private function lookForPlaces(TableLayout $layout, array $before, array $cells, int $day, int $dayBefore): void
    {
        if ($day > $dayBefore) {
            return;
        }
        foreach ($layout->perhapsPlaces as $column) {
            if (($before[$column] ?? '') !== '' && ($cells[$column] ?? '') !== '' && $before[$column] !== $cells[$column]) {
                throw new SeveralPlaces($column);
            }
        }
    }

    /**
     * Columns that may name places: words, few enough that they repeat.
     *
     * @param  list<string>  $names
     * @param  array<string, int>  $columns  columns used already
     * @param  list<list<string>>  $rows
     * @return list<int>
     */
    private function perhapsPlaces(array $names, array $columns, array $rows): array
    {
        $perhaps = [];
        foreach (array_diff(array_keys($names), $columns) as $column) {
            $cells = array_filter(
                array_map(static fn (array $row): string => $row[$column] ?? '', $rows),
                static fn (string $c): bool => $c !== '',
            );
            $words = array_filter(
                $cells,
                static fn (string $c): bool => ! is_numeric(str_replace(',', '.', $c)) && ! in_array(strtolower($c), self::MISSING, true),
            );
            if ($words !== [] && 2 * count($words) > count($rows) && count(array_unique($words)) <= max(2, intdiv(count($rows), 2))) {
                $perhaps[] = $column;
            }
        }

        return $perhaps;
    }

    private function reading(SeriesBuilder $series, TableLayout $layout, ReadingChoices $choices): DailyRecordReading
    {
        if ($series->isEmpty()) {
            throw $series->refused === []
                ? FormatError::inFile('table.heading-only')
                : FormatError::inFile('table.no-row', ['line' => $series->refused[0]->line, 'reason' => $series->refused[0]->reason]);
        }
        $names = $layout->names;

        return StationFileReader::reading(
            RecordFormat::Table,
            $series,
            $choices,
            [
                'date' => $names[$layout->columns['date']],
                'minimum' => $names[$layout->columns['minimum']],
                'maximum' => $names[$layout->columns['maximum']],
            ],
            $names,
            $layout->stated,
            $layout->order,
            $layout->delimiter,
            $this->measured($layout),
        );
    }

    /** @return array<string, MeasuredDepth|array{string, bool}> how rain and snow are given, by element */
    private function measured(TableLayout $layout): array
    {
        $measured = [];
        foreach ([Element::Rain->value, Element::Snow->value] as $element) {
            $column = $layout->columns[$element] ?? null;
            if ($column !== null) {
                $name = $layout->names[$column];
                $unit = DepthUnit::inName($name);
                $measured[$element] =
                    $unit === null
                        ? [$name, in_array(self::bareOfDepth($name), self::OF_SUMMARIES, true)]
                        : new MeasuredDepth($name, $unit, true);
            }
        }

        return $measured;
    }

    /** @param  list<string>  $cells */
    private function row(SeriesBuilder $series, int $line, array $cells, ?int $day, TableLayout $layout): void
    {
        $series->rows++;
        $columns = $layout->columns;
        if ($day === null) {
            $date = $cells[$columns['date']] ?? '';
            $series->refuse($line, $layout->names[$columns['date']], "table.no-date-{$layout->order->value}", [
                'text' => Delimited::shown($date),
            ]);
            if ($series->refusedCount >= self::ENOUGH_REFUSED && $series->isEmpty()) {
                throw FormatError::at($line, "table.no-dates-{$layout->order->value}", ['rows' => self::ENOUGH_REFUSED]);
            }

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
        foreach ([Element::Rain, Element::Snow] as $element) {
            $column = $columns[$element->value] ?? null;
            if ($column !== null) {
                $this->depth($series, $line, $day, $element, $layout, $cells[$column] ?? '', self::flagged(
                    $cells,
                    $columns["{$element->value}_flags"] ?? null,
                ));
            }
        }
    }

    /**
     * @param  list<string>  $cells
     * @return float|null|false null if missing, false if the row was rejected
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
            $series->refuse($line, $column, 'no-temperature', ['text' => Delimited::shown($text)]);

            return false;
        }
        if (isset($found[2])) {
            $unit = strtolower($found[2]) === 'c' ? TemperatureUnit::Celsius : TemperatureUnit::Fahrenheit;
            $rest = $layout->stated ?? ($series->unitInCells ?? $unit);
            if ($unit !== $rest) {
                throw FormatError::at(
                    $line,
                    'table.cell-in-unit',
                    ['text' => Delimited::shown($text), 'unit' => $unit->symbol(), 'rest' => $rest->symbol()],
                    $column,
                );
            }
            $series->unitInCells = $unit;
        }

        return (float) $found[1];
    }

    /** A cell of rain or snow. If it cannot be read, that is reported, and the row's temperatures stay. */
    private function depth(
        SeriesBuilder $series,
        int $line,
        int $day,
        Element $element,
        TableLayout $layout,
        string $text,
        bool $flagged,
    ): void {
        $text = strtolower(str_replace('−', '-', $layout->delimiter === ',' ? $text : str_replace(',', '.', $text)));
        if (in_array($text, self::MISSING, true) || $text === 's') {
            // S: the day's rain is part of a sum that comes later.
            return;
        }
        if ($text === 't' || $text === 'trace') {
            $series->depth($line, $day, $element, 0.0, $flagged);
        } elseif (preg_match('/^([+-]?(?:\d+(?:\.\d*)?|\.\d+))\s*(a|t|mm|cm|in|")?$/', $text, $found) === 1) {
            $series->depth($line, $day, $element, (float) $found[1], $flagged, ($found[2] ?? '') === 'a');
        } else {
            $series->refuse($line, $layout->names[$layout->columns[$element->value] ?? 0], 'no-depth', ['text' => Delimited::shown($text)]);
        }
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
        $dates = array_filter(
            $cells,
            static fn (string $cell): bool => preg_match('/^\d{4}-?\d{2}-?\d{2}|^\d{1,2}[.\/-]\d{1,2}[.\/-]\d{4}/', $cell) === 1,
        );

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
     * @return Columns
     */
    private function columns(int $line, array $names, array $rows, bool $hasHeading, ReadingChoices $choices): array
    {
        if ($choices->columns !== null) {
            foreach ($choices->columns as $what => $column) {
                if (! isset($names[$column]) && ($column !== -1 || ! in_array($what, ['rain', 'snow'], true))) {
                    throw FormatError::at($line, 'table.no-such-column', [
                        'column' => $column + 1,
                        'what' => $what,
                        'columns' => count($names),
                    ]);
                }
            }

            /** @var Columns $columns */
            $columns = array_filter($choices->columns + $this->depths($hasHeading ? $names : []), static fn (int $at): bool => $at >= 0);

            return $columns + $this->places($names, $columns, $rows, $choices);
        }
        if (! $hasHeading) {
            $columns = $this->guessed($rows);

            return $columns + $this->places([], $columns, $rows, $choices);
        }
        $columns = [];
        foreach (self::NAMES as $what => $known) {
            foreach (in_array($what, ['station', 'rain', 'snow'], true) ? [] : $names as $i => $name) {
                if (in_array(Delimited::bare($name), $known, true)) {
                    if (isset($columns[$what])) {
                        throw FormatError::at($line, 'table.given-twice', [
                            'what' => $what,
                            'one' => Delimited::shown($names[$columns[$what]]),
                            'other' => Delimited::shown($name),
                        ]);
                    }
                    $columns[$what] = $i;
                }
            }
            if (! isset($columns[$what]) && in_array($what, ['date', 'minimum', 'maximum'], true)) {
                $found = implode(
                    ', ',
                    array_map(static fn (string $n): string => '“'.Delimited::shown($n).'”', array_slice($names, 0, 8)),
                );
                throw FormatError::at($line, 'table.column-missing', ['what' => $what, 'found' => $found]);
            }
        }

        $columns += array_diff($this->depths($names), $columns);

        /** @var array{date: int, minimum: int, maximum: int, minimum_flags?: int, maximum_flags?: int, rain?: int, snow?: int, rain_flags?: int, snow_flags?: int} $columns */
        return $columns + $this->places($names, $columns, $rows, $choices);
    }

    /**
     * @param  list<string>  $names
     * @return array{rain?: int, snow?: int} the columns of rain and of the depth of snow, if there are any
     */
    private function depths(array $names): array
    {
        $bare = array_map(self::bareOfDepth(...), $names);
        $columns = [];
        foreach ([Element::Rain->value, Element::Snow->value] as $what) {
            foreach (self::NAMES[$what] as $known) {
                $column = array_search($known, $bare, true);
                if ($column !== false && ($known !== self::SNOWFALL || DepthUnit::inName($names[$column]) !== null)) {
                    $columns[$what] = $column;

                    break;
                }
            }
        }

        return $columns;
    }

    /** A column's name without the unit of a depth and without punctuation: "Snow depth (in)" is "snow_depth". */
    private static function bareOfDepth(string $name): string
    {
        $bare = trim((string) preg_replace('/[^a-z]+/', '_', mb_strtolower($name)), '_');

        return (string) preg_replace('/_(?:mm|cm|in|inch|inches|millimet(?:er|re)s?|centimet(?:er|re)s?)$/', '', $bare);
    }

    /**
     * The column that names places: the chosen one, otherwise one with a known name whose words repeat.
     *
     * @param  list<string>  $names  empty without headings
     * @param  array<string, int>  $columns  columns used already
     * @param  list<list<string>>  $rows
     * @return array{station?: int}
     */
    private function places(array $names, array $columns, array $rows, ReadingChoices $choices): array
    {
        if ($choices->places !== null) {
            return $choices->places < 0 || in_array($choices->places, $columns, true) ? [] : ['station' => $choices->places];
        }
        $bare = array_map(Delimited::bare(...), $names);
        foreach (self::NAMES['station'] as $known) {
            $column = array_search($known, $bare, true);
            if ($column !== false && ! in_array($column, $columns, true)) {
                $cells = array_map(static fn (array $row): string => $row[$column] ?? '', $rows);
                // Numbers that never repeat count rows.
                if (count($cells) < 4 || 2 * count(array_unique($cells)) <= count($cells)) {
                    return ['station' => $column];
                }
            }
        }

        return [];
    }

    /**
     * Without headings: the date is where the dates are, and of the first two columns of numbers, the lower one is the minimum.
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
            throw FormatError::at(1, 'table.no-heading');
        }
        asort($two);
        [$minimum, $maximum] = array_keys($two);

        return ['date' => $date, 'minimum' => $minimum, 'maximum' => $maximum];
    }

    /** @param  list<string>  $dates */
    private function dateOrder(int $line, string $column, array $dates): DateOrder
    {
        return DateOrder::of($dates) ?? throw FormatError::at($line, 'table.ambiguous-dates', [], $column);
    }

    private function statedUnit(int $line, string $minimum, string $maximum): ?TemperatureUnit
    {
        [$low, $high] = [Delimited::unitIn($minimum), Delimited::unitIn($maximum)];
        if ($low !== null && $high !== null && $low !== $high) {
            throw FormatError::at($line, 'table.two-units', [
                'minimum' => Delimited::shown($minimum),
                'low' => $low->symbol(),
                'maximum' => Delimited::shown($maximum),
                'high' => $high->symbol(),
            ]);
        }

        return $low ?? $high;
    }
}
