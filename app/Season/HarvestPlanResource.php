<?php

declare(strict_types=1);

namespace App\Season;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * What a zone’s gardens should produce.
 *
 * @property HarvestPlan $resource
 */
class HarvestPlanResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['needs' => $this->resource->needs, 'version' => $this->resource->version];
    }
}
