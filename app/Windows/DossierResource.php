<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\WindowDifference;
use Anthesis\Window\School\FromReplay;
use App\Crops\Variety;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * Everything known about one crop in a zone: what the calendar says, both methods, how they differ, and what was decided.
 *
 * @phpstan-import-type RouteSheet from CropSheet
 * @phpstan-import-type Dossier from CropDossier
 *
 * @property ZoneWindows $resource
 */
class DossierResource extends JsonResource
{
    public function __construct(ZoneWindows $windows, private readonly string $crop)
    {
        parent::__construct($windows);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $windows = $this->resource;
        $dossier = $windows->dossiers[$this->crop];
        $choice = $windows->choices[$this->crop] ?? null;
        $routes = CropDossier::routes($dossier, FromReplay::KEY, $windows->standard);
        $standard = $windows->standard->value;
        $replay = array_map(
            static fn (array $record, array $route): array => [
                'ribbon' => $record['ribbon'],
                'raw' => $record['raw'][$standard] ?? $route['windows'],
                'held' => $record['held'][$standard] ?? [],
                'soil_minimum' => $record['soil_minimum'] ?? null,
            ] + $route,
            $dossier['record'],
            $routes,
        );

        return [
            'crop' => $windows->sheet($this->crop),
            'method' => $windows->method,
            'ruler' => $windows->ruler,
            'replay' => $replay,
            'schools' => array_map(
                fn (string $school): array => $this->school($dossier, $school, $replay),
                array_values(array_diff(array_keys($dossier['schools']), [FromReplay::KEY])),
            ),
            'choice' => $choice === null ? null : $this->choice($choice),
            'disagreements' => $windows->disagreements($this->crop),
            'standards' => $windows->standards(),
            'varieties' => array_map(
                static fn (Variety $v): array => ['id' => $v->id, 'name' => $v->name, 'tags' => $v->tags],
                $windows->varieties($this->crop),
            ),
        ];
    }

    /**
     * Another method's windows, and how much earlier (negative) or later the replay opens and closes, in days, by way of growing.
     *
     * @param  Dossier  $dossier
     * @param  list<RouteSheet>  $replay
     * @return array{school: string, routes: list<RouteSheet>, differences: list<array{route: string, act: string, opens: int, closes: int}>}
     */
    private function school(array $dossier, string $school, array $replay): array
    {
        $routes = CropDossier::routes($dossier, $school, $this->resource->standard);
        $windows = array_column($routes, 'windows', 'route');
        $differences = [];
        foreach ($replay as $route) {
            $days = WindowDifference::between($route['windows'], $windows[$route['route']] ?? []);
            if ($days !== null) {
                $differences[] = ['route' => $route['route'], 'act' => $route['act'], ...$days];
            }
        }

        return ['school' => $school, 'routes' => $routes, 'differences' => $differences];
    }

    /** @return array{id: int, school: string, reason: string, by: string, at: string} */
    private function choice(CropChoice $choice): array
    {
        return [
            'id' => $choice->id,
            'school' => $choice->school,
            'reason' => $choice->reason,
            'by' => $choice->user->name ?? 'someone no longer here',
            'at' => $choice->created_at->toIso8601String(),
        ];
    }
}
