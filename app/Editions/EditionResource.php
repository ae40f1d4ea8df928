<?php

declare(strict_types=1);

namespace App\Editions;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Edition $resource */
class EditionResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $edition = $this->resource;

        return [
            'number' => $edition->number,
            'published_on' => $edition->published_on->format('Y-m-d'),
            'published_by' => $edition->published_by,
            'note' => $edition->note,
            'checksum' => $edition->checksum,
            'in_force' => $edition->in_force_at !== null,
            'url' => "/zones/{$edition->zone->slug}/editions/{$edition->number}",
        ];
    }
}
