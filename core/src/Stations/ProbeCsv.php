<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Day;
use Anthesis\Soil\ProbeLog;
use Anthesis\Soil\ProbeReading;
use Anthesis\Soil\Site;
use Anthesis\Tables\Delimited;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\LineSource;
use Anthesis\Tables\TemperatureUnit;

/**
 * Reads soil temperatures: the file of a logger (timestamp, depth, temperature) or a hand-written list (date, hour, temperature), with or
 * without headings, rows in any order.
 *
 * A depth is in m or cm as its column says. If it does not say, numbers of 1 or more are cm. Without a depth, 5 cm is assumed. The file is
 * accepted as a whole or not at all.
 */
final class ProbeCsv
{
    private const NAMES = [
        'time' => ['timestamp', 'date', 'datetime', 'date_time', 'day', 'datum', 'time_stamp', 'logged_at'],
        'hour' => ['hour', 'time', 'local_hour', 'local_time'],
        'depth' => ['depth', 'soil_depth', 'depth_m', 'depth_cm'],
        'celsius' => ['temperature', 'temp', 't', 'soil', 'soil_temperature', 'soil_temp', 'reading', 'value'],
    ];

    private const DEEPEST = 3.0;

    private const COLDEST = -40.0;

    private const HOTTEST = 80.0;

    /**
     * @param  resource  $stream  open for reading
     * @param  Day  $today  a reading on a later day rejects the file
     *
     * @throws FormatError naming line and column
     */
    public static function read($stream, Day $today, ?TemperatureUnit $unit = null): ProbeLog
    {
        $lines = new LineSource($stream);
        $head = array_values(array_filter($lines->peek(400), static fn (string $line): bool => trim($line) !== ''));
        if ($head === []) {
            throw FormatError::inFile('probe.empty');
        }
        $delimiter = Delimited::delimiterOf($head[0]);
        $rows = array_map(static fn (string $line): array => Delimited::cells($line, $delimiter), $head);
        $hasHeading = preg_match('/^\d/', $rows[0][0] ?? '') !== 1;
        $names = $hasHeading ? $rows[0] : [];
        $columns = $hasHeading ? self::named($names) : self::unnamed(count($rows[0]));
        $data = $hasHeading ? array_slice($rows, 1) : $rows;
        $order =
            DateOrder::of(array_map(static fn (array $row): string => $row[$columns['time']] ?? '', $data)) ??
            throw FormatError::at($hasHeading ? 2 : 1, 'ambiguous-dates');
        $unit ??= Delimited::unitIn($names[$columns['celsius']] ?? '') ?? TemperatureUnit::Celsius;
        $perMetre = self::depthsPerMetre($columns, $names, $data, $delimiter);

        $readings = [];
        $headingPending = $hasHeading;
        while (($line = $lines->next()) !== null) {
            if (trim($line) === '') {
                continue;
            }
            if ($headingPending) {
                $headingPending = false;

                continue;
            }
            $cells = Delimited::cells($line, $delimiter);
            if (($cells[$columns['celsius']] ?? '') === '') {
                continue;
            }
            $readings[] = self::reading($lines->number, $cells, $columns, $delimiter, $order, $unit, $perMetre, $today);
        }

        return $readings === [] ? throw FormatError::inFile('probe.no-reading') : new ProbeLog($readings);
    }

    /**
     * @param  list<string>  $cells
     * @param  array{time: int, hour?: int, depth?: int, celsius: int}  $columns
     */
    private static function reading(
        int $line,
        array $cells,
        array $columns,
        string $delimiter,
        DateOrder $order,
        TemperatureUnit $unit,
        float $perMetre,
        Day $today,
    ): ProbeReading {
        $time = $cells[$columns['time']] ?? '';
        $day = $order->read($time) ?? throw FormatError::at($line, 'probe.no-date', ['text' => Delimited::shown($time)], 'time');
        if ($day > $today->number) {
            throw FormatError::at($line, 'probe.to-come', ['day' => Day::fromNumber($day)->iso()], 'time');
        }
        $hour =
            self::hour(isset($columns['hour']) ? $cells[$columns['hour']] ?? '' : $time, isset($columns['hour'])) ??
            throw FormatError::at($line, 'probe.no-hour', [], 'time');
        $value =
            Delimited::number($cells[$columns['celsius']], $delimiter) ??
            throw FormatError::at($line, 'probe.no-temperature', ['text' => Delimited::shown($cells[$columns['celsius']])], 'temperature');
        $celsius = $unit->toCelsius($value);
        if ($celsius < self::COLDEST || $celsius > self::HOTTEST) {
            throw FormatError::at($line, 'probe.no-soil-temperature', ['celsius' => $celsius], 'temperature');
        }
        $text = isset($columns['depth']) ? $cells[$columns['depth']] ?? '' : '';
        $depth =
            $text === ''
                ? Site::DEPTH
                : (Delimited::number($text, $delimiter) ??
                        throw FormatError::at($line, 'probe.no-depth', ['text' => Delimited::shown($text)], 'depth')) /
                    $perMetre;
        if ($depth < 0.0 || $depth > self::DEEPEST) {
            throw FormatError::at($line, 'probe.no-sowing-depth', ['metres' => $depth], 'depth');
        }

        return new ProbeReading(Day::fromNumber($day), $hour, $celsius, round($depth, 4));
    }

    /** @return float|null hours since local midnight */
    private static function hour(string $text, bool $alone): ?float
    {
        if (preg_match('/(?:^|[T ])(\d{1,2})[:h](\d{2})?(?::\d{2}(?:\.\d+)?)?\s*([ap]m)?/i', $text, $found) === 1) {
            $hour = ((int) $found[1] % (isset($found[3]) ? 12 : 100)) + (strtolower($found[3] ?? '') === 'pm' ? 12 : 0);
            $hour += (int) ($found[2] ?? 0) / 60;
        } elseif ($alone && is_numeric(str_replace(',', '.', $text))) {
            $hour = (float) str_replace(',', '.', $text);
        } else {
            return null;
        }

        return $hour >= 0.0 && $hour <= 24.0 ? $hour : null;
    }

    /**
     * @param  list<string>  $names
     * @return array{time: int, hour?: int, depth?: int, celsius: int}
     */
    private static function named(array $names): array
    {
        $columns = [];
        foreach (self::NAMES as $what => $known) {
            foreach ($names as $i => $name) {
                $bare = preg_replace('/_(m|cm)$/', '', Delimited::bare($name));
                if (! isset($columns[$what]) && ! in_array($i, $columns, true) && in_array($bare, $known, true)) {
                    $columns[$what] = $i;
                }
            }
        }
        // A lone column called “time” holds the timestamps.
        if (! isset($columns['time']) && isset($columns['hour'])) {
            $columns['time'] = $columns['hour'];
            unset($columns['hour']);
        }
        if (! isset($columns['time'], $columns['celsius'])) {
            throw FormatError::at(1, isset($columns['time']) ? 'probe.no-temperature-column' : 'probe.no-time-column');
        }

        return $columns;
    }

    /** @return array{time: int, hour?: int, depth?: int, celsius: int} time, depth, temperature, or time and temperature */
    private static function unnamed(int $columns): array
    {
        return match ($columns) {
            2 => ['time' => 0, 'celsius' => 1],
            3 => ['time' => 0, 'depth' => 1, 'celsius' => 2],
            default => throw FormatError::at(1, 'probe.no-heading'),
        };
    }

    /**
     * @param  array{time: int, hour?: int, depth?: int, celsius: int}  $columns
     * @param  list<string>  $names
     * @param  list<list<string>>  $rows
     */
    private static function depthsPerMetre(array $columns, array $names, array $rows, string $delimiter): float
    {
        if (! isset($columns['depth'])) {
            return 1.0;
        }
        $name = mb_strtolower($names[$columns['depth']] ?? '');
        if (preg_match('/(^|[^a-z])(cm|m)[\])\s]*$/', $name, $found) === 1) {
            return $found[2] === 'cm' ? 100.0 : 1.0;
        }
        $depths = array_map(static fn (array $row): float => Delimited::number($row[$columns['depth']] ?? '', $delimiter) ?? 0.0, $rows);

        return max([0.0, ...$depths]) >= 1.0 ? 100.0 : 1.0;
    }
}
