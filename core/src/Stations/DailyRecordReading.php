<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Mark;
use Anthesis\Tables\RefusedRow;
use Anthesis\Tables\TemperatureUnit;

/** How a station's values in a file were read, before anyone decides to save them. */
final readonly class DailyRecordReading
{
    /**
     * @param  DailyRecord  $asRead  °C, nothing left out
     * @param  list<Mark>  $marks  values the file itself questions (the source's flags) or contradicts (days given twice)
     * @param  string|null  $station  the file's own name for the station, if it has one
     * @param  array{date: string, minimum: string, maximum: string}  $columns  the file's own names for them
     * @param  list<string>  $choices  names of all its columns, to choose others from; empty if the layout is fixed
     * @param  bool  $unitStated  whether the file, or its format, names the unit; false: it was concluded from the values
     * @param  string|null  $delimiter  null if columns have fixed widths
     * @param  list<RefusedRow>  $refused  the first hundred of them
     * @param  int  $rows  rows read, without headings and blank lines
     * @param  float  $step  smallest difference between two values in the file, °C
     * @param  int  $contradicted  days the file gives twice with different values
     * @param  array<string, MeasuredDepth>  $depths  how rain and snow were read, by element; what the file does not have is left out
     */
    public function __construct(
        public RecordFormat $format,
        public DailyRecord $asRead,
        public array $marks,
        public ?string $station,
        public array $columns,
        public array $choices,
        public TemperatureUnit $unit,
        public bool $unitStated,
        public DateOrder $dateOrder,
        public ?string $delimiter,
        public array $refused,
        public int $refusedCount,
        public int $rows,
        public float $step,
        public int $contradicted,
        public array $depths = [],
    ) {
    }

    /** Whether most of its days have two different values: rows of two places, or of two kinds of readings, mixed up as one. */
    public function contradictsItself(): bool
    {
        return 2 * $this->contradicted > $this->asRead->days();
    }
}
