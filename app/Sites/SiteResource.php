<?php

declare(strict_types=1);

namespace App\Sites;

use Anthesis\Soil\Site as SoilSite;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Site $resource */
class SiteResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $site = $this->resource;
        $first = $site->preset ? SoilSite::named($site->name) : null;

        return [
            'id' => $site->id,
            'version' => $site->version,
            'name' => $site->name,
            'zone' => $site->zone?->slug,
            'preset' => $site->preset,
            'note' => $site->note,
            'ground' => $site->ground,
            'first_numbers' => $first === null ? null : $this->numbers($first),
        ] + $this->numbers($site);
    }

    /** @return array{air: float, sun: float, rate: float, protection: float, offset: float} */
    private function numbers(Site|SoilSite $site): array
    {
        return [
            'air' => $site->air,
            'sun' => $site->sun,
            'rate' => $site->rate,
            'protection' => $site->protection,
            'offset' => $site->offset,
        ];
    }
}
