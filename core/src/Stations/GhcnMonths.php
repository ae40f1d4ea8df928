<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Tables\Delimited;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\LineSource;
use Anthesis\Tables\TemperatureUnit;

/**
 * GHCN-Daily in fixed width: one line per station, month, and element, with 31 values in tenths of °C (rain in tenths of mm, depth of snow
 * in mm), each followed by flags for measurement, quality, and source. A quality flag questions the value; −9999 is missing.
 *
 * Menne, M. J. et al. (2012), An overview of the Global Historical Climatology Network-Daily database, J. Atmos. Oceanic Technol. 29,
 * 897–910. Layout from its readme: columns 1–11 station, 12–15 year, 16–17 month, 18–21 element, then value (5), measurement flag, quality
 * flag, source flag.
 */
final class GhcnMonths implements StationFormat
{
    private const LINE = '/^[A-Z0-9_\-]{11}\d{4}(0[1-9]|1[0-2])[A-Z0-9]{4}.{5}/';

    private const FIRST_VALUE = 21;

    private const VALUE_WIDTH = 8;

    private const MISSING = -9999;

    public function recognises(array $head): bool
    {
        return preg_match(self::LINE, $head[0]) === 1;
    }

    public function read(LineSource $lines, ReadingChoices $choices): StationSurvey
    {
        $stations = new StationGathering($choices);
        while (($line = $lines->next()) !== null) {
            if (trim($line) === '') {
                continue;
            }
            if (preg_match(self::LINE, $line) !== 1) {
                throw FormatError::at($lines->number, 'ghcn.no-line');
            }
            $element = StationFileReader::GHCN[substr($line, 17, 4)] ?? null;
            if ($element === null) {
                continue;
            }
            $station = substr($line, 0, 11);
            if (! $element->isTemperature()) {
                $this->monthOfDepths($stations, $station, $lines->number, $line, $element);

                continue;
            }
            $first = Day::numberOf((int) substr($line, 11, 4), (int) substr($line, 15, 2), 1);
            $stations->measure($station, $first);
            $series = $stations->seriesOf($station);
            if ($series !== null) {
                $this->month($series, $lines->number, $line, $element);
            }
        }
        $series = $stations->series;

        return new StationSurvey($series === null || $series->isEmpty() ? null : $this->reading($series, $choices), $stations->extents());
    }

    private function month(SeriesBuilder $series, int $number, string $line, Element $element): void
    {
        $series->rows++;
        $year = (int) substr($line, 11, 4);
        $month = (int) substr($line, 15, 2);
        $first = Day::numberOf($year, $month, 1);
        $days = Day::daysInMonth($year, $month);
        for ($i = 0; $i < $days; $i++) {
            $cell = substr($line, self::FIRST_VALUE + $i * self::VALUE_WIDTH, self::VALUE_WIDTH);
            $text = trim(substr($cell, 0, 5));
            if ($text === '' || (int) $text === self::MISSING) {
                continue;
            }
            if (preg_match('/^-?\d+$/', $text) !== 1) {
                $series->refuse($number, $element === Element::Minimum ? 'TMIN' : 'TMAX', 'ghcn.no-value-on', [
                    'text' => Delimited::shown($text),
                    'day' => $i + 1,
                ]);

                continue;
            }
            $series->day($number, 'year and month', $first + $i);
            $series->value($number, $first + $i, $element, (float) $text, trim(substr($cell, 6, 1)) !== '');
        }
    }

    private function monthOfDepths(StationGathering $stations, string $station, int $number, string $line, Element $element): void
    {
        [$year, $month] = [(int) substr($line, 11, 4), (int) substr($line, 15, 2)];
        $first = Day::numberOf($year, $month, 1);
        for ($i = 0, $days = Day::daysInMonth($year, $month); $i < $days; $i++) {
            $cell = substr($line, self::FIRST_VALUE + $i * self::VALUE_WIDTH, self::VALUE_WIDTH);
            $text = trim(substr($cell, 0, 5));
            if (preg_match('/^-?\d+$/', $text) === 1 && (int) $text !== self::MISSING) {
                $stations->depth($station, $number, $first + $i, $element, (float) $text, trim(substr($cell, 6, 1)) !== '');
            }
        }
    }

    private function reading(SeriesBuilder $series, ReadingChoices $choices): DailyRecordReading
    {
        return StationFileReader::reading(
            RecordFormat::GhcnMonths,
            $series,
            $choices,
            ['date' => 'year and month', 'minimum' => 'TMIN', 'maximum' => 'TMAX'],
            [],
            TemperatureUnit::TenthsCelsius,
            DateOrder::YearFirst,
            null,
            StationFileReader::ghcnDepths(),
        );
    }
}
