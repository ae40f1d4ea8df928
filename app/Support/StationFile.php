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

/**
 * A station file read and checked, and not yet kept.
 *
 * @phpstan-type Choices array{unit?: string, date_order?: string, station?: string, replace?: bool, columns?: array{date: int, minimum: int, maximum: int}}
 */
final readonly class StationFile
{
    /** @param  RecordUpdate|null  $update how it changes the record in use; null: there is none, or the file replaces it */
    private function __construct(
        public DailyRecordReading $reading,
        public ?RecordUpdate $update,
        public DailyRecord $asRead,
        public QualityReport $report,
    ) {
    }

    /**
     * @param  Choices  $choices  what a person overrules
     * @param  StationRecord|null  $before  the record in use, which the file updates unless it is to replace it
     *
     * @throws FormatError when the file as a whole cannot be taken
     */
    public static function read(string $path, array $choices = [], ?StationRecord $before = null): self
    {
        $stream = fopen($path, 'r') ?: throw FormatError::inFile('The file cannot be opened. Bring it again.');
        try {
            $reading = (new StationFileReader)->read($stream, new ReadingChoices(
                today: Today::day(),
                unit: isset($choices['unit']) ? TemperatureUnit::from($choices['unit']) : null,
                columns: $choices['columns'] ?? null,
                dateOrder: isset($choices['date_order']) ? DateOrder::from($choices['date_order']) : null,
                station: $choices['station'] ?? null,
            ));
        } finally {
            fclose($stream);
        }

        $update = $before === null || ($choices['replace'] ?? false) ? null
            : RecordUpdate::of($before->asRead(), $before->marksOfReaders(), $reading->asRead, $reading->marks);
        $asRead = $update->updated ?? $reading->asRead;

        return new self($reading, $update, $asRead, (new QualityControl)->check($asRead, $update->marks ?? $reading->marks, Today::day()));
    }
}
