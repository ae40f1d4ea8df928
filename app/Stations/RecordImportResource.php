<?php

declare(strict_types=1);

namespace App\Stations;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property RecordImport $resource */
class RecordImportResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $import = $this->resource;

        return [
            'id' => $import->id,
            'station' => $import->station->name,
            'file' => $import->file,
            'bytes' => $import->bytes,
            'checksum' => $import->checksum,
            'state' => $import->state,
            'rows' => $import->rows,
            'refused_count' => $import->refused_count,
            'marks_count' => $import->marks_count,
            'update' => $import->update_counts,
            'first' => $import->record?->first_day->format('Y-m-d'),
            'last' => $import->record?->last_day->format('Y-m-d'),
            'imported_by' => $import->isReport() ? 'the station itself' : $import->user->name ?? 'someone no longer here',
            'imported_at' => $import->created_at->toIso8601String(),
            'in_use' => $import->record !== null && $import->station->record_id === $import->record->id,
        ];
    }
}
