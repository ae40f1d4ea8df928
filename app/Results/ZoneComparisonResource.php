<?php

declare(strict_types=1);

namespace App\Results;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** Rows as they are; see Anthesis\Calendar\ZoneComparison. */
class ZoneComparisonResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['rows' => $this->resource];
    }
}
