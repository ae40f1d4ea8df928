<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Support\ZoneWindows;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property ZoneWindows $resource */
class WindowsResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $windows = $this->resource;

        return [
            'zone' => $windows->zone,
            'computed_at' => $windows->computedAt,
            'method' => $windows->method,
            'record' => $windows->record,
            'ruler' => $windows->ruler,
            'crops' => array_map(static fn (array $sheet): array => [
                'slug' => $sheet['slug'],
                'name' => $sheet['name'],
                'family' => $sheet['family'],
                'kind' => $sheet['kind'],
                'school' => $sheet['school'],
                'routes' => array_map(static fn (array $route): array => array_diff_key($route, ['derivation' => true]), $sheet['routes']),
            ], $windows->sheets),
        ];
    }
}
