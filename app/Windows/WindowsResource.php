<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\OwnDates;
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
            'standards' => $windows->standards(),
            'stale' => $windows->stale,
            'ruler' => $windows->ruler,
            'crops' => array_map(fn (string $crop): array => $this->crop($windows, $crop), array_keys($windows->dossiers)),
        ];
    }

    /** @return array<string, mixed> */
    private function crop(ZoneWindows $windows, string $crop): array
    {
        $sheet = $windows->sheet($crop);
        $ribbons = array_column($windows->dossiers[$crop]['record'], 'ribbon', 'route');
        $byRecord = in_array($sheet['school'], [FromReplay::KEY, OwnDates::KEY], true);

        return [
            'slug' => $sheet['slug'],
            'name' => $sheet['name'],
            'family' => $sheet['family'],
            'kind' => $sheet['kind'],
            'school' => $sheet['school'],
            'routes' => array_map(
                static fn (array $route): array => array_diff_key($route, [
                    'derivation' => true,
                    'reasons' => true,
                    'evidence' => true,
                    'no_window' => true,
                ]) + [
                    'best' => array_column($route['evidence'], 'span'),
                    'ribbon' => $byRecord && isset($ribbons[$route['route']]) ? PackedRibbon::of($ribbons[$route['route']]) : null,
                    'reasons' => $byRecord ? [] : $route['reasons'],
                ],
                $sheet['routes'],
            ),
        ];
    }
}
