<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Route;
use App\Crops\Crop;
use App\Crops\LocalDaysOfCrop;
use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

class LocalDaysController
{
    public function __construct(private readonly ZoneLocalDays $days)
    {
    }

    public function index(Zone $zone): JsonResponse
    {
        return $this->told($zone);
    }

    public function store(Request $request, Zone $zone, AdoptLocalDays $save): JsonResponse
    {
        Gate::authorize('update', $zone);
        $asked = $request->validate([
            'crop' => ['required', 'string', 'max:60'],
            'variety' => ['present', 'nullable', 'string', 'max:80'],
            'route' => ['required', new Enum(Route::class)],
            'replaces' => ['present', 'nullable', 'integer'],
        ]);
        $crop =
            Crop::query()->where('slug', $asked['crop'])->first() ??
            throw ValidationException::withMessages(['crop' => 'The book has no such crop. Choose another one.']);
        $told =
            $this->days->one($zone, $crop, $asked['variety'], Route::from($asked['route'])) ??
            throw ValidationException::withMessages([
                'crop' => 'No planting of it in the log gives its days. That takes the day it was sown and the day of its first harvest.',
            ]);
        $save->execute($zone, $crop, $told, $asked['replaces'] === null ? null : (int) $asked['replaces'], $request->user());

        return $this->told($zone, 201);
    }

    public function undo(Request $request, Zone $zone, int $held, AdoptLocalDays $save): JsonResponse
    {
        Gate::authorize('update', $zone);
        $own = LocalDaysOfCrop::query()->where('zone_id', $zone->id)->find($held) ?? abort(404, 'This zone has no such local days.');
        $save->undo($own, $zone, $request->user());

        return $this->told($zone);
    }

    private function told(Zone $zone, int $status = 200): JsonResponse
    {
        return Answer::of(['crops' => $this->days->of($zone), 'history' => $this->days->history($zone)], $status);
    }
}
