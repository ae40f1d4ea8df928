<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Exchange\FormatError;
use Illuminate\Http\UploadedFile;

/**
 * Takes the days a station reports by itself into its record: the same file a person would bring, read and checked before it is
 * kept. The same report sent twice is taken once.
 */
final class TakeReport
{
    public function __construct(private readonly KeepStationFile $keep)
    {
    }

    /**
     * @return StationFile what was read
     *
     * @throws FormatError when it cannot be read, or is more likely of another place
     */
    public function ofDevice(StationDevice $device, string $path): StationFile
    {
        $file = $this->execute($device->station, $path, mb_substr($device->name, 0, 60).'.csv');
        $device->update(['reported_at' => now()]);

        return $file;
    }

    /**
     * @return StationFile what was read
     *
     * @throws FormatError when it cannot be read, or is more likely of another place
     */
    public function execute(Station $station, string $path, string $name): StationFile
    {
        $file = StationFile::read($path, [], $station->record);
        if ($file->isDoubtful()) {
            throw FormatError::inFile('file.another-place');
        }
        $this->keep->execute($station->zone, $station, new UploadedFile($path, $name, 'text/csv', null, true), [], null, [], RecordImport::reported("{$station->id} ".hash_file('sha256', $path)));

        return $file;
    }
}
