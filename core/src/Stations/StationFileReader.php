<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Tables\DepthUnit;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\LineSource;
use Anthesis\Tables\TemperatureUnit;

/**
 * Reads the daily records of a file in any of the known formats, plain or gzipped.
 *
 * Whatever makes the whole file questionable (no such columns, two units, dates running backward, future days) rejects it. A row that
 * cannot be read is rejected by itself and listed. Memory is bounded by the longest single record, not by the file.
 */
final class StationFileReader
{
    /** The elements of GHCN-Daily that are read. */
    public const GHCN = ['TMIN' => Element::Minimum, 'TMAX' => Element::Maximum, 'PRCP' => Element::Rain, 'SNWD' => Element::Snow];

    private const HEAD = 400;

    /** @return list<StationFormat> the most particular first; a table is what is left */
    private static function formats(): array
    {
        return [new GhcnMonths(), new GhcnLong(), new DailyTable()];
    }

    /**
     * The only record of a file, or the chosen one of several.
     *
     * @param  resource  $stream  open for reading
     *
     * @throws FormatError if the file cannot be used, contains several stations and none was chosen, or not the chosen one
     */
    public function read($stream, ReadingChoices $choices = new ReadingChoices()): DailyRecordReading
    {
        $survey = $this->survey($stream, $choices);
        if ($choices->station === null && count($survey->stations) > 1) {
            [$one, $other] = $survey->stations;
            throw FormatError::inFile('file.several-stations', ['one' => (string) $one->station, 'other' => (string) $other->station]);
        }

        return $survey->reading ??
            throw $choices->station === null
                ? FormatError::inFile('file.no-temperatures')
                : FormatError::inFile('file.no-such-station', ['station' => $choices->station]);
    }

    /**
     * The record of one station of a file, and which others it contains.
     *
     * @param  resource  $stream  open for reading
     *
     * @throws FormatError
     */
    public function survey($stream, ReadingChoices $choices = new ReadingChoices()): StationSurvey
    {
        $start = ftell($stream);
        try {
            return $this->surveyOnce($stream, $choices);
        } catch (SeveralPlaces $found) {
            // A pipe cannot be read twice, so the column has to be named.
            if ($start === false || fseek($stream, $start) !== 0) {
                throw FormatError::inFile('file.several-places', ['column' => $found->column + 1]);
            }

            return $this->surveyOnce($stream, $choices->withPlaces($found->column));
        }
    }

    /** @param  resource  $stream */
    private function surveyOnce($stream, ReadingChoices $choices): StationSurvey
    {
        $lines = new LineSource($stream);
        $head = array_values(array_filter($lines->peek(self::HEAD), static fn (string $line): bool => trim($line) !== ''));
        if ($head === []) {
            throw FormatError::inFile('file.empty');
        }
        foreach (self::formats() as $format) {
            if ($format->recognises($head)) {
                return $format->read($lines, $choices);
            }
        }
        throw FormatError::inFile('file.unknown-format');
    }

    /** @return array<string, MeasuredDepth> how GHCN-Daily gives rain and snow */
    public static function ghcnDepths(): array
    {
        return [
            Element::Rain->value => new MeasuredDepth('PRCP', DepthUnit::TenthsMillimetres, true),
            Element::Snow->value => new MeasuredDepth('SNWD', DepthUnit::Millimetres, true),
        ];
    }

    /**
     * @param  array{date: string, minimum: string, maximum: string}  $columns
     * @param  list<string>  $names
     * @param  TemperatureUnit|null  $stated  the unit the file names
     * @param  array<string, MeasuredDepth|array{string, bool}>  $depths  by element, if the file has it: how it is given, or the column
     *   that names no unit, and whether it belongs to the daily summaries
     *
     * @internal for the formats
     */
    public static function reading(
        RecordFormat $format,
        SeriesBuilder $series,
        ReadingChoices $choices,
        array $columns,
        array $names,
        ?TemperatureUnit $stated,
        DateOrder $order,
        ?string $delimiter,
        array $depths = [],
    ): DailyRecordReading {
        $concluded = $series->concludedUnit();
        $unit = $choices->unit ?? ($stated ?? $concluded);
        $measured = [];
        foreach ($depths as $element => $depth) {
            $isSnow = $element === Element::Snow->value;
            $chosen = $isSnow ? $choices->snow : $choices->rain;
            $known = is_array($depth) ? new MeasuredDepth($depth[0], DepthUnit::usual($unit, $isSnow, $depth[1]), false) : $depth;
            $measured[$element] = $chosen === null ? $known : new MeasuredDepth($known->column, $chosen, $known->isStated);
        }
        $record = $series->record($unit, $measured);

        return new DailyRecordReading(
            $format,
            $record,
            $series->marks(),
            $series->station,
            $columns,
            $names,
            $unit,
            $stated !== null,
            $order,
            $delimiter,
            $series->refused,
            $series->refusedCount,
            $series->rows,
            $series->step($unit),
            $series->contradictedDays(),
            // A column that was blank throughout does not count.
            array_filter($measured, static fn (string $of): bool => $record->of(Element::from($of)) !== null, ARRAY_FILTER_USE_KEY),
        );
    }

    /** @internal for the formats */
    public static function backwards(int $line, string $column, int $day, int $before): FormatError
    {
        return FormatError::at(
            $line,
            'file.backwards',
            ['day' => Day::fromNumber($day)->iso(), 'before' => Day::fromNumber($before)->iso()],
            $column,
        );
    }
}
