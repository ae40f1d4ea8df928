<?php

declare(strict_types=1);

namespace App\Editions;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Publication $resource */
class PublicationResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $publication = $this->resource;

        return [
            'id' => $publication->id,
            'state' => $publication->state,
            'done' => (int) $publication->done,
            'total' => (int) $publication->total,
            'error' => $publication->error,
            'edition' => new EditionResource($publication->edition),
        ];
    }
}
