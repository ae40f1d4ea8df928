<?php

declare(strict_types=1);

namespace App\Log;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property LogImport $resource */
class LogImportResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $import = $this->resource;

        return [
            'id' => $import->id,
            'file' => $import->file,
            'state' => $import->state,
            'done' => $import->done,
            'total' => $import->total,
            'saved' => $import->saved,
            'faults' => $import->faults ?? [],
        ];
    }
}
