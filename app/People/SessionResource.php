<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\Today;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property User|null $resource */
class SessionResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $user = $this->resource;

        return [
            'today' => Today::day()->iso(),
            'user' => $user === null ? null : [
                'name' => $user->name,
                'email' => $user->email,
                'role' => $user->role->value,
                'may_publish' => $user->can('publish', Zone::class),
            ],
        ];
    }
}
