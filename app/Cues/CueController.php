<?php

declare(strict_types=1);

namespace App\Cues;

use App\Log\CuePlant;
use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class CueController
{
    public function __construct(private readonly ZoneCues $cues)
    {
    }

    public function index(Zone $zone): JsonResponse
    {
        return Answer::of($this->cues->of($zone, $zone->today()));
    }

    public function store(Request $request, Zone $zone, SaveCuePlant $save): JsonResponse
    {
        Gate::authorize('publish', $zone);
        $asked = $request->validate(
            [
                'plant' => ['required', 'string', 'max:80'],
                'stage' => ['required', 'string', 'max:80'],
                'note' => ['nullable', 'string', 'max:300'],
            ],
            [
                'plant.required' => 'Enter a plant that many people know and that grows in many gardens.',
                'stage.required' => 'Enter the stage to watch for: “leafing”, “first flower”.',
            ],
        );
        $save->execute($asked['plant'], $asked['stage'], $asked['note'] ?? null);

        return Answer::of($this->cues->of($zone, $zone->today()), 201);
    }

    public function destroy(Zone $zone, CuePlant $cue, SaveCuePlant $save): JsonResponse
    {
        Gate::authorize('publish', $zone);
        abort_unless($save->remove($cue), 409, 'It has sightings, which would be lost. It stays on the list.');

        return Answer::of($this->cues->of($zone, $zone->today()));
    }
}
