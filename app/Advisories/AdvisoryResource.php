<?php

declare(strict_types=1);

namespace App\Advisories;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Advisory */
class AdvisoryResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'ground' => $this->ground, 'in_force' => $this->isInForce($this->zone->today())] + $this->told();
    }
}
