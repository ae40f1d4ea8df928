<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Day;
use App\Zones\Zone;
use Illuminate\Http\UploadedFile;

/**
 * Imports what the stations have reported since their record ends, up to yesterday, as a file like any other, with quality control and the
 * original kept. What was imported before is not imported again, and what was missed is caught up on.
 */
final class CollectReports
{
    public function __construct(private readonly ReportSource $source, private readonly KeepStationFile $keep)
    {
    }

    /** @return int how many stations had something to report */
    public function execute(): int
    {
        $reported = 0;
        foreach (Zone::query()->orderBy('id')->get() as $zone) {
            $yesterday = $zone->today()->plus(-1);
            foreach (Station::usedBy($zone)->get() as $station) {
                $from = $station->record === null ? null : Day::fromIso($station->record->last_day->format('Y-m-d'))->plus(1);
                if ($from === null || $from->number > $yesterday->number) {
                    continue;
                }
                $text = $this->source->report($station->setRelation('zone', $zone), $from, $yesterday);
                if ($text !== null) {
                    $this->take($zone, $station, $from, $yesterday, $text);
                    $reported++;
                }
            }
        }

        return $reported;
    }

    private function take(Zone $zone, Station $station, Day $from, Day $to, string $text): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'report');
        file_put_contents($path, $text);
        try {
            $this->keep->execute(
                $zone,
                $station,
                new UploadedFile($path, "report-{$from->iso()}-{$to->iso()}.csv", 'text/csv', null, true),
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
