<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\FormatError;
use App\Operations\FileStore;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;

/** Turns a kept station file into the station's record. All of it or nothing; doing it again changes nothing. */
final class ImportRecord
{
    /** @throws FormatError */
    public function execute(RecordImport $import): StationRecord
    {
        if ($import->state === RecordImportState::Imported && $import->record !== null) {
            return $import->record;
        }
        $originals = FileStore::on('originals');
        if (! $originals->isWhole($import->checksum)) {
            throw FormatError::inFile($originals->has($import->checksum) ? 'file.original-damaged' : 'file.original-gone', [
                'file' => $import->file,
            ]);
        }

        return DB::transaction(static function () use ($import, $originals): StationRecord {
            // Lock the zone first, as everywhere. The record this file updates is read when no other import can replace it.
            Zone::query()->whereKey($import->station->zone_id)->lockForUpdate()->first();
            $station = Station::query()->whereKey($import->station_id)->lockForUpdate()->firstOrFail();
            $today = $import->station->zone->today();
            $file = StationFile::read($originals->path($import->checksum), $today, $import->choices, $station->record);
            $record = StationRecord::query()->create(
                ['station_id' => $import->station_id, 'record_import_id' => $import->id, 'step' => $file->step] +
                    StationRecord::columnsOf($file->asRead, $file->report),
            );
            $import->update([
                'state' => RecordImportState::Imported,
                'rows' => $file->reading->rows,
                'refused_count' => $file->reading->refusedCount,
                'marks_count' => count($file->report->marks),
                'update_counts' => $file->update?->counts(),
            ]);
            $station->update(['record_id' => $record->id]);
            $import->setRelation('station', $station);
            Zone::query()->whereKey($station->zone_id)->increment('input_revision');

            return $record;
        });
    }
}
