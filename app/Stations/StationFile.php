<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\QualityControl;
use Anthesis\Record\QualityReport;
use Anthesis\Record\RecordUpdate;
use Anthesis\Stations\DailyRecordReading;
use Anthesis\Stations\DateOrder;
use Anthesis\Stations\ReadingChoices;
use Anthesis\Stations\StationExtent;
use Anthesis\Stations\StationFileReader;
use Anthesis\Tables\DepthUnit;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\TemperatureUnit;
use Closure;

/**
 * A station file read and checked, and not yet kept.
 *
 * @phpstan-type Choices array{unit?: string, date_order?: string, station?: string, replace?: bool, places?: int, rain_unit?: string, snow_unit?: string, columns?: array{date: int, minimum: int, maximum: int, rain?: int, snow?: int}}
 */
final readonly class StationFile
{
    /** Fewer changed values than this are corrections, whatever share they are. */
    private const FEW = 30;

    /**
     * @param  RecordUpdate|null  $update  how it changes the record in use; null: there is none, or the file replaces it
     * @param  float  $step  °C between two neighboring values as finely as the record, so updated, is written
     * @param  list<StationExtent>  $stations  all of the file, where it names them
     */
    private function __construct(
        public DailyRecordReading $reading,
        public ?RecordUpdate $update,
        public DailyRecord $asRead,
        public QualityReport $report,
        public float $step,
        public array $stations = [],
    ) {
    }

    /**
     * The one station of the file, or the chosen one of several.
     *
     * @param  Day  $today  of the zone: no later day is a measurement
     * @param  Choices  $choices  what a person overrules
     * @param  StationRecord|null  $before  the record in use, which the file updates unless it is to replace it
     *
     * @throws FormatError when the file as a whole cannot be taken
     */
    public static function read(string $path, Day $today, array $choices = [], ?StationRecord $before = null): self
    {
        return self::opened(
            $path,
            static fn ($stream): self => self::of(
                (new StationFileReader())->read($stream, self::choices($choices, $today)),
                $today,
                $choices,
                $before,
            ),
        );
    }

    /**
     * The same, but the first station of several stands for the others until one is chosen; all are listed.
     *
     * @param  Choices  $choices
     *
     * @throws FormatError
     */
    public static function preview(string $path, Day $today, array $choices = [], ?StationRecord $before = null): self
    {
        return self::opened($path, static function ($stream) use ($today, $choices, $before): self {
            $survey = (new StationFileReader())->survey($stream, self::choices($choices, $today));
            $reading =
                $survey->reading ??
                throw isset($choices['station'])
                    ? FormatError::inFile('file.no-such-station', ['station' => $choices['station']])
                    : FormatError::inFile('file.no-temperatures');

            return self::of($reading, $today, $choices, $before, $survey->stations);
        });
    }

    /**
     * Whether it is more likely a file of another place, or of two places, than one of this station: most of its days have two
     * different values, or most of what it shares with the record in use is different there.
     */
    public function isDoubtful(): bool
    {
        $update = $this->update;

        return $this->reading->contradictsItself() ||
            ($update !== null && $update->changed >= self::FEW && $update->changed > $update->unchanged);
    }

    /** @return float °C within which a value of the file and one on record are the same, for the steps both are written in */
    public function tolerance(): float
    {
        return $this->update->tolerance ?? 0.0;
    }

    /**
     * @param  Choices  $choices
     * @param  list<StationExtent>  $stations
     */
    private static function of(
        DailyRecordReading $reading,
        Day $today,
        array $choices,
        ?StationRecord $before,
        array $stations = [],
    ): self {
        $update =
            $before === null || ($choices['replace'] ?? false)
                ? null
                : RecordUpdate::of(
                    $before->asRead(),
                    $before->marksOfReaders(),
                    $reading->asRead,
                    $reading->marks,
                    $before->step,
                    $reading->step,
                );
        $asRead = $update->updated ?? $reading->asRead;
        // The finer values stand, so a record stays as fine as it was.
        $step = $update === null ? $reading->step : min($reading->step, $before->step ?? $reading->step);

        return new self(
            $reading,
            $update,
            $asRead,
            (new QualityControl())->check($asRead, $update->marks ?? $reading->marks, $today),
            $step,
            $stations,
        );
    }

    /** @param  Choices  $choices */
    private static function choices(array $choices, Day $today): ReadingChoices
    {
        return new ReadingChoices(
            today: $today,
            unit: isset($choices['unit']) ? TemperatureUnit::from($choices['unit']) : null,
            columns: $choices['columns'] ?? null,
            dateOrder: isset($choices['date_order']) ? DateOrder::from($choices['date_order']) : null,
            station: $choices['station'] ?? null,
            places: $choices['places'] ?? null,
            rain: isset($choices['rain_unit']) ? DepthUnit::from($choices['rain_unit']) : null,
            snow: isset($choices['snow_unit']) ? DepthUnit::from($choices['snow_unit']) : null,
        );
    }

    /** @param  Closure(resource): self  $read */
    private static function opened(string $path, Closure $read): self
    {
        $stream = fopen($path, 'r') ?: throw FormatError::inFile('file.cannot-be-opened');
        try {
            return $read($stream);
        } finally {
            fclose($stream);
        }
    }
}
