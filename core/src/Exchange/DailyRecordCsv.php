<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityRule;

/**
 * Reads a table of daily minima and maxima: one heading row, ISO dates, any column order, °C or °F.
 *
 * The unit is taken from the column names ("tmin_f", "Max (°C)") or, where they say nothing, from the values: a place
 * where ten or more days of a year are above 60 is measured in °F. What casts doubt on the whole file (no such columns, two units,
 * dates running backwards, days to come) refuses it; a row that cannot be read is refused alone and listed.
 */
final class DailyRecordCsv
{
    public const REFUSALS_KEPT = 100;

    private const LONGEST_LINE = 65536;

    private const FIRST_YEAR = 1700;

    private const LONGEST_GAP_YEARS = 20;

    private const MISSING = ['', '-', 'na', 'n/a', 'nan', 'null', 'm', '-9999', '-9999.0', '-999', '-999.0', '-99.9', '-999.9'];

    /** No place on earth has been this hot, in °C; in °F nearly every place is, each summer. */
    public const HOTTEST_CELSIUS = 60.0;

    /** So many such days in a year are no faults of the thermometer. */
    private const HOT_DAYS = 10;

    private const DAYS_TO_JUDGE_A_YEAR = 300;

    private const NAMES = [
        'date' => ['date', 'day', 'datum', 'obs_date', 'observation_date'],
        'minimum' => ['tmin', 'min', 'minimum', 'tn', 'low', 'min_temp', 'temp_min', 'mintemp', 'minimum_temperature', 'temperature_min'],
        'maximum' => ['tmax', 'max', 'maximum', 'tx', 'high', 'max_temp', 'temp_max', 'maxtemp', 'maximum_temperature', 'temperature_max'],
    ];

    private const IN_WORDS = ['date' => 'a date', 'minimum' => 'the daily minimum', 'maximum' => 'the daily maximum'];

    private const HEADING_REMEDY = 'The first row must name a date, a minimum and a maximum, for example “date,tmin_c,tmax_c”.';

    /**
     * @param  resource  $stream  open for reading
     * @param  Day|null  $today  a later day refuses the file; null: any day is taken
     * @param  TemperatureUnit|null  $unit  overrules what the file seems to say
     *
     * @throws FormatError when the file as a whole cannot be taken
     */
    public function read($stream, ?Day $today = null, ?TemperatureUnit $unit = null): DailyRecordReading
    {
        [$headingLine, $heading] = $this->heading($stream);
        $delimiter = $this->delimiter($heading);
        $names = array_map(static fn (?string $n): string => trim((string) $n), str_getcsv($heading, $delimiter, '"', ''));
        $columns = $this->columns($headingLine, $names);
        $stated = $this->statedUnit($headingLine, $names, $columns);

        $rows = new DailyRows;
        $line = $headingLine;
        $previous = null;
        while (($text = $this->line($stream, ++$line)) !== null) {
            if (trim($text, " \t,;") === '') {
                continue;
            }
            $rows->count++;
            $cells = str_getcsv($text, $delimiter, '"', '');
            $date = trim((string) ($cells[$columns['date']] ?? ''));
            $day = Day::numberFromIso($date);
            if ($day === null) {
                $rows->refuse($line, $names[$columns['date']], "“{$this->shown($date)}” is not a date written as YYYY-MM-DD");

                continue;
            }
            $this->checkDay($line, $names[$columns['date']], $day, $previous, $today);
            $minimum = $this->value($rows, $line, $names[$columns['minimum']], $cells[$columns['minimum']] ?? null, $stated);
            $maximum = $this->value($rows, $line, $names[$columns['maximum']], $cells[$columns['maximum']] ?? null, $stated);
            if ($minimum === false || $maximum === false) {
                continue;
            }
            $rows->add($line, $day, $minimum, $maximum);
            $previous = $day;
        }
        if ($rows->first === null) {
            $why = $rows->refused === [] ? 'it has a heading and no rows'
                : "no row could be read; line {$rows->refused[0]->line}: {$rows->refused[0]->reason}";
            throw FormatError::inFile("There is no day in this file: {$why}.");
        }
        $concluded = $this->concludedUnit($rows);

        return $this->reading($rows, $names, $columns, $unit ?? $stated ?? $concluded, $stated !== null, $delimiter);
    }

    /**
     * @param  list<string>  $names
     * @param  array{date: int, minimum: int, maximum: int}  $columns
     */
    private function reading(DailyRows $rows, array $names, array $columns, TemperatureUnit $unit, bool $stated, string $delimiter): DailyRecordReading
    {
        $convert = static fn (?float $v): ?float => $v === null ? null : $unit->toCelsius($v);
        $first = Day::fromNumber((int) $rows->first);

        return new DailyRecordReading(
            new DailyRecord($first, array_map($convert, $rows->minimum), array_map($convert, $rows->maximum)),
            array_map(static fn (array $d): Mark => new Mark($first->plus($d[0]), $d[1], QualityRule::Duplicate), $rows->contradictions),
            ['date' => $names[$columns['date']], 'minimum' => $names[$columns['minimum']], 'maximum' => $names[$columns['maximum']]],
            $unit,
            $stated,
            $delimiter,
            $rows->refused,
            $rows->refusedCount,
            $rows->count,
        );
    }

    /**
     * @param  resource  $stream
     * @return array{int, string} line number and text of the first line that is not blank
     */
    private function heading($stream): array
    {
        $number = 0;
        while (($text = $this->line($stream, ++$number)) !== null) {
            $text = $number === 1 ? (string) preg_replace('/^\xEF\xBB\xBF/', '', $text) : $text;
            if (trim($text) !== '') {
                return [$number, $text];
            }
        }
        throw FormatError::inFile('The file is empty. '.self::HEADING_REMEDY);
    }

    /** @param  resource  $stream */
    private function line($stream, int $number): ?string
    {
        $text = fgets($stream, self::LONGEST_LINE);
        if ($text === false) {
            return null;
        }
        $latin = ! mb_check_encoding($text, 'UTF-8');
        if (preg_match($latin ? '/[\x00-\x08\x0E-\x1F\x80-\x9F]/' : '/[\x00-\x08\x0E-\x1F]/', $text) === 1) {
            throw FormatError::at($number, 'this is not text. Bring the station’s table as a CSV file, not a spreadsheet, archive or picture.');
        }
        if (strlen($text) >= self::LONGEST_LINE - 1) {
            throw FormatError::at($number, 'the line is longer than '.self::LONGEST_LINE.' characters. Bring a table with one row a day.');
        }

        return rtrim($latin ? mb_convert_encoding($text, 'UTF-8', 'ISO-8859-1') : $text, "\r\n");
    }

    private function delimiter(string $heading): string
    {
        $counts = [];
        foreach ([',', ';', "\t"] as $delimiter) {
            $counts[$delimiter] = substr_count($heading, $delimiter);
        }
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /**
     * @param  list<string>  $names
     * @return array{date: int, minimum: int, maximum: int}
     */
    private function columns(int $line, array $names): array
    {
        $columns = [];
        foreach (self::NAMES as $what => $known) {
            foreach ($names as $i => $name) {
                if (in_array($this->bare($name), $known, true)) {
                    if (isset($columns[$what])) {
                        throw FormatError::at($line, self::IN_WORDS[$what]." is given twice, as “{$names[$columns[$what]]}” and “{$name}”. Keep one of them.");
                    }
                    $columns[$what] = $i;
                }
            }
            if (! isset($columns[$what])) {
                $found = implode(', ', array_map(fn (string $n): string => '“'.$this->shown($n).'”', array_slice($names, 0, 8)));
                throw FormatError::at($line, 'no column for '.self::IN_WORDS[$what]." among {$found}. ".self::HEADING_REMEDY);
            }
        }

        return ['date' => $columns['date'], 'minimum' => $columns['minimum'], 'maximum' => $columns['maximum']];
    }

    /**
     * @param  list<string>  $names
     * @param  array{date: int, minimum: int, maximum: int}  $columns
     */
    private function statedUnit(int $line, array $names, array $columns): ?TemperatureUnit
    {
        $minimum = $this->unitIn($names[$columns['minimum']]);
        $maximum = $this->unitIn($names[$columns['maximum']]);
        if ($minimum !== null && $maximum !== null && $minimum !== $maximum) {
            throw FormatError::at($line, "“{$names[$columns['minimum']]}” is in {$minimum->symbol()} and “{$names[$columns['maximum']]}” in {$maximum->symbol()}. Bring both in one unit.");
        }

        return $minimum ?? $maximum;
    }

    private function unitIn(string $name): ?TemperatureUnit
    {
        return match (1) {
            preg_match('/(^|[^a-z])(c|celsius|degc|deg_c)[\])\s]*$/iu', $name) => TemperatureUnit::Celsius,
            preg_match('/(^|[^a-z])(f|fahrenheit|degf|deg_f)[\])\s]*$/iu', $name) => TemperatureUnit::Fahrenheit,
            default => null,
        };
    }

    /** The column's name without unit and punctuation: "Min (°C)" is "min". */
    private function bare(string $name): string
    {
        $bare = preg_replace('/[^a-z]+/', '_', mb_strtolower(str_replace('°', ' ', $name)));
        $bare = preg_replace('/_(c|f|celsius|fahrenheit|degc|degf|deg_c|deg_f)_*$/', '', (string) $bare);

        return trim((string) $bare, '_');
    }

    private function checkDay(int $line, string $column, int $day, ?int $previous, ?Day $today): void
    {
        if ($previous !== null && $day >= $previous && $day <= $previous + 1 && $day <= ($today->number ?? PHP_INT_MAX)) {
            return;
        }
        $iso = Day::fromNumber($day)->iso();
        if ($previous !== null && $day < $previous) {
            $before = Day::fromNumber($previous)->iso();
            throw FormatError::at($line, "{$iso} comes after {$before}. Put the rows in order of date and bring the file again.", $column);
        }
        if ($today !== null && $day > $today->number) {
            throw FormatError::at($line, "{$iso} has not come yet (today is {$today->iso()}). Take forecast rows out, or check that day and month are not swapped.", $column);
        }
        if (Day::fromNumber($day)->year() < self::FIRST_YEAR) {
            throw FormatError::at($line, "{$iso} is before ".self::FIRST_YEAR.'. Check the year.', $column);
        }
        if ($previous !== null && $day - $previous > self::LONGEST_GAP_YEARS * 366) {
            throw FormatError::at($line, "{$iso} follows ".Day::fromNumber($previous)->iso().', more than '.self::LONGEST_GAP_YEARS.' years earlier. Check the year.', $column);
        }
    }

    /** @return float|null|false null where missing, false where the row was refused */
    private function value(DailyRows $rows, int $line, string $column, ?string $cell, ?TemperatureUnit $stated): float|null|false
    {
        $text = trim((string) $cell);
        if (is_numeric($text) && ! str_contains($text, '99')) {
            return (float) $text;
        }
        $text = str_replace('−', '-', $text);
        if (in_array(strtolower($text), self::MISSING, true)) {
            return null;
        }
        if (preg_match('/^([+-]?(?:\d+(?:\.\d*)?|\.\d+))\s*°?\s*([cf])?$/iu', $text, $found) !== 1) {
            $rows->refuse($line, $column, "“{$this->shown($text)}” is not a temperature");

            return false;
        }
        if (isset($found[2])) {
            $unit = strtolower($found[2]) === 'c' ? TemperatureUnit::Celsius : TemperatureUnit::Fahrenheit;
            if ($stated !== null && $unit !== $stated || $rows->unitInCells !== null && $rows->unitInCells !== $unit) {
                throw FormatError::at($line, "“{$this->shown($text)}” is in {$unit->symbol()} and the rest of the file in ".($stated ?? $rows->unitInCells ?? $unit)->symbol().'. Bring the file in one unit.', $column);
            }
            $rows->unitInCells = $unit;
        }

        return (float) $found[1];
    }

    private function concludedUnit(DailyRows $rows): TemperatureUnit
    {
        $hot = $cool = null;
        foreach ($rows->years as $year => $seen) {
            if ($seen['days'] < self::DAYS_TO_JUDGE_A_YEAR) {
                continue;
            }
            if ($seen['hot'] >= self::HOT_DAYS) {
                $hot ??= $year;
            } else {
                $cool ??= $year;
            }
        }
        if ($hot !== null && $cool !== null) {
            $later = max($hot, $cool);
            [$from, $to] = $hot < $cool ? ['°F', '°C'] : ['°C', '°F'];
            throw FormatError::at($rows->years[$later]['line'], "the unit seems to change from {$from} to {$to} with the year {$later}. Bring the file in one unit.");
        }
        if ($rows->unitInCells !== null) {
            return $rows->unitInCells;
        }

        return max([0, ...array_column($rows->years, 'hot')]) >= self::HOT_DAYS ? TemperatureUnit::Fahrenheit : TemperatureUnit::Celsius;
    }

    private function shown(string $text): string
    {
        $text = mb_scrub($text, 'UTF-8');

        return mb_strlen($text) > 40 ? mb_substr($text, 0, 39).'…' : $text;
    }
}
