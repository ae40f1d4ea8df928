<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Mark;

/** What was understood of a station file, before anyone decides to keep it. */
final readonly class DailyRecordReading
{
    /**
     * @param  DailyRecord  $asRead  °C, nothing left out
     * @param  list<Mark>  $marks  values the file itself contradicts (days given twice)
     * @param  array{date: string, minimum: string, maximum: string}  $columns  the file's own column names
     * @param  bool  $unitStated  the file names its unit; false: concluded from the values
     * @param  list<RefusedRow>  $refused  the first of them, see DailyRecordCsv::REFUSALS_KEPT
     * @param  int  $rows  rows read, without heading and blank lines
     */
    public function __construct(
        public DailyRecord $asRead,
        public array $marks,
        public array $columns,
        public TemperatureUnit $unit,
        public bool $unitStated,
        public string $delimiter,
        public array $refused,
        public int $refusedCount,
        public int $rows,
    ) {
    }
}
