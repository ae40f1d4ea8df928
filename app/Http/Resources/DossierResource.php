<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\WindowDifference;
use App\Models\Crop;
use App\Models\CropChoice;
use App\Models\Variety;
use App\Support\ZoneWindows;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * All that is known of one crop in a zone: what the calendar says, both schools, their difference, and what was decided.
 *
 * @phpstan-import-type RouteSheet from CropSheet
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
        $standard = $windows->standard->value;
        $replay = array_map(static fn (array $route): array => ['ribbon' => $route['ribbon']] + $route['standards'][$standard], $dossier['replay']);
        $varieties = array_values(Crop::query()->where('slug', $this->crop)->firstOrFail()->varieties()->get()->all());

        return [
            'crop' => $windows->sheet($this->crop),
            'method' => $windows->method,
            'ruler' => $windows->ruler,
            'replay' => $replay,
            'count_back' => $dossier['crop']['routes'],
            'differences' => $this->differences($replay, $dossier['crop']['routes']),
            'choice' => $choice === null ? null : $this->choice($choice),
            'disagreements' => $windows->disagreements($this->crop),
            'standards' => $windows->standards(),
            'varieties' => array_map(static fn (Variety $v): array => ['id' => $v->id, 'name' => $v->name, 'tags' => $v->tags], $varieties),
        ];
    }

    /**
     * How much earlier (negative) or later the replay opens and closes than counting back, in days, by route.
     *
     * @param  list<RouteSheet>  $replay
     * @param  list<RouteSheet>  $countBack
     * @return list<array{route: string, act: string, opens: int, closes: int}>
     */
    private function differences(array $replay, array $countBack): array
    {
        $counted = array_column($countBack, null, 'route');
        $differences = [];
        foreach ($replay as $route) {
            $days = WindowDifference::between($route['windows'], $counted[$route['route']]['windows'] ?? []);
            if ($days !== null) {
                $differences[] = ['route' => $route['route'], 'act' => $route['act'], ...$days];
            }
        }

        return $differences;
    }

    /** @return array{id: int, school: string, reason: string, by: string, at: string} */
    private function choice(CropChoice $choice): array
    {
        return ['id' => $choice->id, 'school' => $choice->school, 'reason' => $choice->reason,
            'by' => $choice->user->name ?? 'someone no longer here', 'at' => $choice->created_at->toIso8601String()];
    }
}
