<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Window\School\OwnDates;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Which method a zone's calendar follows for a crop, or the educator's own dates; each with its reason, and each can be undone. */
class CropChoiceController
{
    public function store(CropChoiceRequest $request, Zone $zone, string $crop, ChooseSchool $choose): JsonResponse
    {
        $this->dossier($zone, $crop);
        $choose->execute(
            $zone,
            $crop,
            $request->school(),
            $request->school() === OwnDates::KEY ? $request->windows() : null,
            $request->reason(),
            $request->replaces(),
            $request->user(),
        );

        return (new DossierResource($this->dossier($zone, $crop), $crop))->response()->setStatusCode(201);
    }

    public function destroy(Request $request, Zone $zone, CropChoice $choice, ChooseSchool $choose): DossierResource
    {
        Gate::authorize('update', $zone);
        abort_unless($choice->zone_id === $zone->id, 404, 'This zone has no such choice.');
        $choose->undo($choice, $request->user());

        return new DossierResource($this->dossier($zone, $choice->crop), $choice->crop);
    }

    private function dossier(Zone $zone, string $crop): ZoneWindows
    {
        $windows = ZoneWindows::of($zone, null, null, $crop);
        abort_unless(isset($windows->dossiers[$crop]), 404, "There is no crop “{$crop}” in this zone’s windows.");

        return $windows;
    }
}
