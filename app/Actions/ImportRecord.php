<?php

declare(strict_types=1);

namespace App\Actions;

use Anthesis\Exchange\FormatError;
use App\Models\RecordImport;
use App\Models\StationRecord;
use App\Support\StationFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Turns a kept station file into the station's record. All of it or nothing; doing it again changes nothing. */
final class ImportRecord
{
    /** @throws FormatError */
    public function execute(RecordImport $import): StationRecord
    {
        if ($import->state === RecordImport::IMPORTED && $import->record !== null) {
            return $import->record;
        }
        $file = StationFile::read(Storage::disk('originals')->path($import->checksum), $import->choices, $import->station->record);

        return DB::transaction(static function () use ($import, $file): StationRecord {
            $record = StationRecord::query()->create([
                'station_id' => $import->station_id,
                'record_import_id' => $import->id,
            ] + StationRecord::columnsOf($file->asRead, $file->report));
            $import->update([
                'state' => RecordImport::IMPORTED,
                'rows' => $file->reading->rows,
                'refused_count' => $file->reading->refusedCount,
                'marks_count' => count($file->report->marks),
                'update_counts' => $file->update?->counts(),
            ]);
            $import->station->update(['record_id' => $record->id]);

            return $record;
        });
    }
}
