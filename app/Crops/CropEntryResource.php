<?php

declare(strict_types=1);

namespace App\Crops;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A crop in a list: what it is called and belongs to.
 *
 * @property array{crop: Crop, translations: array<string, array<string, string>>} $resource
 */
class CropEntryResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        ['crop' => $crop, 'translations' => $translations] = $this->resource;

        return [
            'slug' => $crop->slug,
            'name' => $crop->cells['name'],
            'family' => $crop->cells['family'],
            'kind' => $crop->cells['kind'],
            'names' => CropNames::of($crop->slug, $crop->cells, $translations),
        ];
    }
}
