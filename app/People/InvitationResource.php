<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Invitation $resource */
class InvitationResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $one = $this->resource;

        return [
            'id' => $one->id,
            'name' => $one->name,
            'email' => $one->email,
            'role' => $one->role->value,
            'until' => $one->expires_at->toIso8601String(),
            'by' => $one->inviter?->name,
        ];
    }
}
