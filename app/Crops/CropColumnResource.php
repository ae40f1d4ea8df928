<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\CropColumn;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * What a cell of the crop book may hold.
 *
 * @property CropColumn $resource
 */
class CropColumnResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $column = $this->resource;

        return [
            'column' => $column->name,
            'type' => $column->type,
            'group' => $column->group,
            'unit' => $column->unit,
            'least' => $column->least,
            'most' => $column->most,
            'choices' => $column->choices,
            'optional' => $column->optional,
            'by_variety' => $column->byVariety,
        ];
    }
}
