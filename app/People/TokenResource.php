<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Token $resource */
class TokenResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $token = $this->resource;

        return [
            'id' => $token->id,
            'name' => $token->name,
            'scopes' => $token->abilities,
            'until' => $token->expires_at?->toIso8601String(),
            'used' => $token->last_used_at?->toIso8601String(),
        ];
    }
}
