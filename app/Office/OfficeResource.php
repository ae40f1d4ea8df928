<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\Words;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Office $resource */
class OfficeResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return $this->resource->only([...Office::FIELDS, 'slug', 'version']) + [
            'signature_changed' => $this->resource->signatureChanged(),
            'languages_there' => array_values(array_diff(Words::languages(), [Words::SOURCE])),
        ];
    }
}
