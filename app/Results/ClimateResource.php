<?php

declare(strict_types=1);

namespace App\Results;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Two documents as they are; see Anthesis\Calendar\YearRuler and ClimateSheet.
 *
 * @property array{ruler: array<string, mixed>, climate: array<string, mixed>} $resource
 */
class ClimateResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return $this->resource;
    }
}
