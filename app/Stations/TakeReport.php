<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Tables\FormatError;
use Illuminate\Http\UploadedFile;

/**
 * Imports the days a station reports on its own: the same file a person would upload, read and checked before it is kept. The same report
 * sent twice is imported once.
 */
final class TakeReport
{
    public function __construct(private readonly KeepStationFile $keep)
    {
    }

    /**
     * Imports the days that are new. What the device reports differently from the record waits until somebody decides about it.
     *
     * @return array{StationFile, int} what was read, and how many values are waiting
     *
     * @throws FormatError if it cannot be read, reaches too far back, or more likely belongs to another place
     */
    public function ofDevice(StationDevice $device, string $path): array
    {
        $station = $device->station;
        $file = $this->read($station, $path);
        $report = DeviceReport::of($file, $station->record, $station->zone->today());
        if ($report->new !== null) {
            $this->import(
                $station,
                $report->corrections === [] ? (string) file_get_contents($path) : DeviceReport::csv($report->new),
                mb_substr($device->name, 0, 60).'.csv',
            );
        }
        foreach ($report->corrections as $one) {
            $this->propose($station, $device, $one);
        }
        $device->update(['reported_at' => now()]);

        return [$file, count($report->corrections)];
    }

    /** @param  array{day: Day, element: Element, was: float, value: float}  $one */
    private function propose(Station $station, StationDevice $device, array $one): void
    {
        $same = ReportedCorrection::query()
            ->where('station_id', $station->id)
            ->where('element', $one['element']->value)
            ->whereDate('day', $one['day']->iso())
            ->latest('id')
            ->first();
        if ($same !== null && $same->decided_at === null) {
            $same->update(['value' => $one['value'], 'was' => $one['was'], 'device' => $device->name]);
        } elseif ($same === null || $same->value !== $one['value']) {
            // What somebody has already decided is not asked again.
            ReportedCorrection::query()->create([
                'station_id' => $station->id,
                'device' => $device->name,
                'day' => $one['day']->iso(),
                'element' => $one['element']->value,
                'was' => $one['was'],
                'value' => $one['value'],
            ]);
        }
    }

    /**
     * @return StationFile what was read
     *
     * @throws FormatError if it cannot be read, or more likely belongs to another place
     */
    public function execute(Station $station, string $path, string $name): StationFile
    {
        $file = $this->read($station, $path);
        $this->import($station, (string) file_get_contents($path), $name);

        return $file;
    }

    private function read(Station $station, string $path): StationFile
    {
        $file = StationFile::read($path, $station->zone->today(), [], $station->record);

        return $file->isDoubtful() ? throw FormatError::inFile('file.another-place') : $file;
    }

    private function import(Station $station, string $text, string $name): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'report');
        file_put_contents($path, $text);
        try {
            $this->keep->execute(
                $station->zone,
                $station,
                new UploadedFile($path, $name, 'text/csv', null, true),
                [],
                null,
                [],
                RecordImport::reported("{$station->id} ".hash('sha256', $text)),
            );
        } finally {
            unlink($path);
        }
    }
}
