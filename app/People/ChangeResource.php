<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Change $resource */
class ChangeResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $change = $this->resource;

        return [
            'id' => $change->id,
            'at' => $change->created_at->toIso8601String(),
            'by' => $change->by(),
            'zone' => $change->zone?->slug,
            'zone_name' => $change->zone?->name,
            'crop' => $change->crop,
            'subject' => $change->subject,
            'about' => $change->about,
            'act' => $change->act,
            'fields' => array_map(
                static fn (string $field, array $values): array => ['field' => $field, ...$values],
                array_keys($change->fields),
                $change->fields,
            ),
            'why' => $change->why,
        ];
    }
}
