<?php

declare(strict_types=1);

namespace App\Stations;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property ReportedCorrection $resource */
class ReportedCorrectionResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $one = $this->resource;

        return [
            'id' => $one->id,
            'station' => $one->station_id,
            'device' => $one->device,
            'day' => $one->day->format('Y-m-d'),
            'element' => $one->element,
            'was' => $one->was,
            'value' => $one->value,
        ];
    }
}
