<?php

declare(strict_types=1);

namespace App\Support;

use Anthesis\Exchange\DailyRecordReading;
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

    /** @throws FormatError when the file as a whole cannot be taken */
    public static function read(string $path, ?TemperatureUnit $unit): self
    {
        $stream = fopen($path, 'r') ?: throw FormatError::inFile('The file cannot be opened. Bring it again.');
        try {
            $reading = (new StationFileReader)->read($stream, new ReadingChoices(today: Today::day(), unit: $unit));
        } finally {
            fclose($stream);
        }

        return new self($reading, (new QualityControl)->check($reading->asRead, $reading->marks, Today::day()));
    }
}
