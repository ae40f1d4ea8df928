<?php

declare(strict_types=1);

namespace App\Editions;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Objection $resource */
class ObjectionResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $one = $this->resource;

        return [
            'id' => $one->id,
            'crop' => $one->crop,
            'text' => $one->text,
            'author' => $one->author,
            'answer' => $one->answer,
            'answered_by' => $one->answered_by,
        ];
    }
}
