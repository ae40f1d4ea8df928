<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Login $resource */
class LoginResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $login = $this->resource;

        return [
            'id' => $login->id,
            'device' => $login->device,
            'since' => $login->started_at->toIso8601String(),
            'seen' => $login->seen_at->toIso8601String(),
            'here' => $login->id === SessionLogin::here($request),
        ];
    }
}
