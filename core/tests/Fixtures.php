<?php

declare(strict_types=1);

namespace Anthesis\Tests;

use Anthesis\Crop\CropTable;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Record\QualityControl;
use Anthesis\Stations\DailyRecordReading;
use Anthesis\Stations\ReadingChoices;
use Anthesis\Stations\StationFileReader;
use Anthesis\Tables\CropCsv;
use RuntimeException;

/** The two reference stations and the results an independent program computed from them. */
final class Fixtures
{
    public const STATIONS = ['north' => 46.8, 'south' => -38.3];

    /** @var array<string, DailyRecord> by station */
    private static array $records = [];

    private static ?CropTable $crops = null;

    public static function path(string $file): string
    {
        return __DIR__.'/fixtures/'.$file;
    }

    /** @return array<mixed> */
    public static function json(string $file): array
    {
        $content = json_decode((string) file_get_contents(self::path($file)), true, 64, JSON_THROW_ON_ERROR);

        return is_array($content) ? $content : throw new RuntimeException("{$file} holds no table.");
    }

    /** As nobody changes it, it is read once for all tests. */
    public static function record(string $station): DailyRecord
    {
        return self::$records[$station] ??= self::readRecord($station);
    }

    /** The table that comes with the program; it too is read once. */
    public static function crops(): CropTable
    {
        return self::$crops ??= CropCsv::standard();
    }

    private static function readRecord(string $station): DailyRecord
    {
        $stream = fopen(self::path("station-{$station}.csv"), 'r') ?: throw new RuntimeException("No station {$station}.");
        $reading = (new StationFileReader())->read($stream);
        fclose($stream);

        return (new QualityControl())->check($reading->asRead, $reading->marks)->usable;
    }

    /** @param  string  $station  `north`, `south`; `north-rain` and `south-rain` lie at the same latitudes */
    public static function latitude(string $station): Latitude
    {
        return Latitude::of(self::STATIONS[explode('-', $station)[0]]);
    }

    public static function read(string $text, ReadingChoices $choices = new ReadingChoices()): DailyRecordReading
    {
        $stream = fopen('php://memory', 'w+') ?: throw new RuntimeException('No memory stream.');
        fwrite($stream, $text);
        rewind($stream);

        return (new StationFileReader())->read($stream, $choices);
    }
}
