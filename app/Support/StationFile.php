<?php

declare(strict_types=1);

namespace App\Support;

use Anthesis\Exchange\DailyRecordReading;
use Anthesis\Exchange\DateOrder;
use Anthesis\Exchange\FormatError;
use Anthesis\Exchange\ReadingChoices;
use Anthesis\Exchange\StationFileReader;
use Anthesis\Exchange\TemperatureUnit;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\QualityControl;
use Anthesis\Record\QualityReport;
use Anthesis\Record\RecordUpdate;
use App\Models\StationRecord;
use Closure;

/**
 * A station file read and checked, and not yet kept.
 *
 * @phpstan-type Choices array{unit?: string, date_order?: string, station?: string, replace?: bool, columns?: array{date: int, minimum: int, maximum: int}}
 */
final readonly class StationFile
{
    /**
     * @param  RecordUpdate|null  $update  how it changes the record in use; null: there is none, or the file replaces it
     * @param  list<array{station: string, first: string, last: string, rows: int}>  $stations  all of the file, where it names them
     */
    private function __construct(
        public DailyRecordReading $reading,
        public ?RecordUpdate $update,
        public DailyRecord $asRead,
        public QualityReport $report,
        public array $stations = [],
    ) {
    }

    /**
     * The one station of the file, or the chosen one of several.
     *
     * @param  Choices  $choices  what a person overrules
     * @param  StationRecord|null  $before  the record in use, which the file updates unless it is to replace it
     *
     * @throws FormatError when the file as a whole cannot be taken
     */
    public static function read(string $path, array $choices = [], ?StationRecord $before = null): self
    {
        return self::opened($path, static fn ($stream): self => self::of((new StationFileReader)->read($stream, self::choices($choices)), $choices, $before));
    }

    /**
     * The same, but the first station of several stands for the others until one is chosen; all are listed.
     *
     * @param  Choices  $choices
     *
     * @throws FormatError
     */
    public static function preview(string $path, array $choices = [], ?StationRecord $before = null): self
    {
        return self::opened($path, static function ($stream) use ($choices, $before): self {
            $wanted = $choices['station'] ?? null;
            unset($choices['station']);
            $stations = [];
            $shown = null;
            foreach ((new StationFileReader)->readAll($stream, self::choices($choices)) as $reading) {
                if ($reading->station !== null) {
                    $stations[] = ['station' => $reading->station, 'first' => $reading->asRead->first->iso(), 'last' => $reading->asRead->last()->iso(), 'rows' => $reading->rows];
                }
                if ($wanted === null ? $shown === null : $reading->station === $wanted) {
                    $shown = $reading;
                }
            }
            if ($shown === null) {
                throw FormatError::inFile($wanted === null ? 'There is no daily minimum or maximum in this file.' : "The station {$wanted} is not in this file.");
            }

            return self::of($shown, $choices, $before, $stations);
        });
    }

    /**
     * @param  Choices  $choices
     * @param  list<array{station: string, first: string, last: string, rows: int}>  $stations
     */
    private static function of(DailyRecordReading $reading, array $choices, ?StationRecord $before, array $stations = []): self
    {
        $update = $before === null || ($choices['replace'] ?? false) ? null
            : RecordUpdate::of($before->asRead(), $before->marksOfReaders(), $reading->asRead, $reading->marks);
        $asRead = $update->updated ?? $reading->asRead;

        return new self($reading, $update, $asRead, (new QualityControl)->check($asRead, $update->marks ?? $reading->marks, Today::day()), $stations);
    }

    /** @param  Choices  $choices */
    private static function choices(array $choices): ReadingChoices
    {
        return new ReadingChoices(
            today: Today::day(),
            unit: isset($choices['unit']) ? TemperatureUnit::from($choices['unit']) : null,
            columns: $choices['columns'] ?? null,
            dateOrder: isset($choices['date_order']) ? DateOrder::from($choices['date_order']) : null,
            station: $choices['station'] ?? null,
        );
    }

    /** @param  Closure(resource): self  $read */
    private static function opened(string $path, Closure $read): self
    {
        $stream = fopen($path, 'r') ?: throw FormatError::inFile('The file cannot be opened. Bring it again.');
        try {
            return $read($stream);
        } finally {
            fclose($stream);
        }
    }
}
