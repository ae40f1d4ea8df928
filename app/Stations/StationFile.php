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
 * A station file that was read and checked, but not kept yet.
 *
 * @phpstan-type Choices array{unit?: string, date_order?: string, station?: string, replace?: bool, places?: int, rain_unit?: string, snow_unit?: string, columns?: array{date: int, minimum: int, maximum: int, rain?: int, snow?: int}}
 */
final readonly class StationFile
{
    /** Fewer changed values than this are corrections, whatever their share. */
    private const FEW = 30;

    /**
     * @param  RecordUpdate|null  $update  how it changes the record in use; null: there is none, or the file replaces it
     * @param  float  $step  smallest difference between two values of the record after this update, °C
     * @param  list<StationExtent>  $stations  all stations of the file, if it names them
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
     * The only station of the file, or the chosen one of several.
     *
     * @param  Day  $today  in the zone: no later day can have been measured
     * @param  Choices  $choices  a person's corrections
     * @param  StationRecord|null  $before  the record in use, which the file updates unless it is meant to replace it
     *
     * @throws FormatError if the file as a whole cannot be used
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
     * The same, but among several stations, the first is shown until one is chosen; all are listed.
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
     * Whether it more likely belongs to another place, or to two places, than to this station: most of its days have two different values,
     * or most of what it shares with the record in use differs.
     */
    public function isDoubtful(): bool
    {
        $update = $this->update;

        return $this->reading->contradictsItself() ||
            ($update !== null && $update->changed >= self::FEW && $update->changed > $update->unchanged);
    }

    /** @return float °C within which a value in the file and one on record are the same, given how finely both are written */
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
        // The finer values stay, so a record never gets coarser.
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
