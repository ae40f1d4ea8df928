<?php

declare(strict_types=1);

namespace App\Zones;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Computation $resource */
class ComputationResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $computation = $this->resource;

        return [
            'id' => $computation->id,
            'state' => $computation->state,
            'step' => $computation->step,
            'done' => (int) $computation->done,
            'total' => (int) $computation->total,
            'error' => $computation->error,
            'finished_at' => $computation->finished_at?->toIso8601String(),
        ];
    }
}
