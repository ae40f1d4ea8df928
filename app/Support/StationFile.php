<?php

declare(strict_types=1);

namespace App\Support;

use Anthesis\Exchange\DailyRecordReading;
use Anthesis\Exchange\DateOrder;
use Anthesis\Exchange\FormatError;
use Anthesis\Exchange\ReadingChoices;
use Anthesis\Exchange\StationFileReader;
use Anthesis\Exchange\TemperatureUnit;
use Anthesis\Record\QualityControl;
use Anthesis\Record\QualityReport;

/** A station file read and checked, and not yet kept. */
final readonly class StationFile
{
    private function __construct(public DailyRecordReading $reading, public QualityReport $report)
    {
    }

    /**
     * @param  array{unit?: string, date_order?: string, station?: string, columns?: array{date: int, minimum: int, maximum: int}}  $choices  what a person overrules
     *
     * @throws FormatError when the file as a whole cannot be taken
     */
    public static function read(string $path, array $choices = []): self
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

        return new self($reading, (new QualityControl)->check($reading->asRead, $reading->marks, Today::day()));
    }
}
