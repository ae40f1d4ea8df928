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
            'waits_for' => $edition->in_force_at === null && $edition->withdrawn_on === null
                    ? [
                        'signature' => $edition->needs_signature && $edition->signed_at === null,
                        'day' => $edition->in_force_from?->format('Y-m-d'),
                    ]
                    : null,
            'signed_by' => $edition->signed_by,
            'withdrawn' => $edition->withdrawn_on === null
                    ? null
                    : [
                        'on' => $edition->withdrawn_on->format('Y-m-d'),
                        'by' => (string) $edition->withdrawn_by,
                        'reason' => (string) $edition->withdrawn_why,
                    ],
            'url' => "/zones/{$edition->zone->slug}/editions/{$edition->number}",
        ];
    }
}
