<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A person as their office’s administrators see them; the membership comes with `seen`.
 *
 * @property Membership $resource
 */
class MembershipResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $in = $this->resource;

        return [
            'id' => $in->user->id,
            'name' => $in->user->name,
            'email' => $in->user->email,
            'role' => $in->role->value,
            'active' => $in->isActive(),
            'second_factor' => $in->user->hasSecondFactor(),
            'seen' => $in->seen?->toIso8601String(),
        ];
    }
}
