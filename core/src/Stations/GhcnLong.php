<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Element;
use Anthesis\Tables\Delimited;
use Anthesis\Tables\LineSource;
use Anthesis\Tables\TemperatureUnit;

/**
 * GHCN-Daily with one row per value: station, day (YYYYMMDD), element, value in tenths of °C (rain in tenths of mm, depth of snow in mm),
 * flags for measurement, quality, and source, time of observation. No headings. Rows of one station are together, in any order of days.
 */
final class GhcnLong implements StationFormat
{
    private const ROW = '/^"?[A-Z0-9_\-]{11}"?,"?\d{8}"?,"?[A-Z0-9]{4}"?,"?-?\d+"?(,|$)/';

    private const MISSING = -9999.0;

    /** The date read last: a day's elements are together. */
    private string $lastDate = '';

    private ?int $lastDay = null;

    public function recognises(array $head): bool
    {
        return preg_match(self::ROW, $head[0]) === 1;
    }

    public function read(LineSource $lines, ReadingChoices $choices): StationSurvey
    {
        $stations = new StationGathering($choices);
        while (($line = $lines->next()) !== null) {
            if (trim($line) === '') {
                continue;
            }
            // Files of many stations have millions of such rows: those without quotes are split in the quickest way.
            $cells = str_contains($line, '"') ? array_map('strval', str_getcsv($line, ',', '"', '')) : explode(',', $line);
            $element = StationFileReader::GHCN[$cells[2] ?? ''] ?? null;
            if ($element === null) {
                continue;
            }
            $day = $this->day($cells[1]);
            if (! $element->isTemperature()) {
                $value = $cells[3] ?? '';
                if ($day !== null && is_numeric($value) && (float) $value !== self::MISSING) {
                    $stations->depth($cells[0], $lines->number, $day, $element, (float) $value, trim($cells[5] ?? '') !== '');
                }

                continue;
            }
            $stations->measure($cells[0], $day);
            $series = $stations->seriesOf($cells[0]);
            if ($series !== null) {
                $this->row($series, $lines->number, $element, $cells, $day);
            }
        }
        $series = $stations->series;

        return new StationSurvey($series === null || $series->isEmpty() ? null : $this->reading($series, $choices), $stations->extents());
    }

    /** @return int|null days since 1970-01-01; null if the text is not a day */
    private function day(string $text): ?int
    {
        if ($text !== $this->lastDate) {
            [$this->lastDate, $this->lastDay] = [$text, DateOrder::YearFirst->read($text)];
        }

        return $this->lastDay;
    }

    /** @param  list<string>  $cells */
    private function row(SeriesBuilder $series, int $number, Element $element, array $cells, ?int $day): void
    {
        $series->rows++;
        if ($day === null) {
            $series->refuse($number, 'day', 'ghcn.no-day', ['text' => Delimited::shown($cells[1])]);
        } elseif (! is_numeric($cells[3] ?? '')) {
            $series->refuse($number, $cells[2], 'ghcn.no-value', ['text' => Delimited::shown($cells[3] ?? '')]);
        } else {
            $series->day($number, 'day', $day);
            $value = (float) $cells[3];
            $series->value($number, $day, $element, $value === self::MISSING ? null : $value, trim($cells[5] ?? '') !== '');
        }
    }

    private function reading(SeriesBuilder $series, ReadingChoices $choices): DailyRecordReading
    {
        return StationFileReader::reading(
            RecordFormat::GhcnLong,
            $series,
            $choices,
            ['date' => 'day', 'minimum' => 'TMIN', 'maximum' => 'TMAX'],
            [],
            TemperatureUnit::TenthsCelsius,
            DateOrder::YearFirst,
            ',',
            StationFileReader::ghcnDepths(),
        );
    }
}
