<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Window\ProofStandard;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;

/** Whether a zone's windows came true. */
class TrackRecordController
{
    public function show(Request $request, Zone $zone, ZoneTrackRecord $record, ZoneLoggedPromises $logged): JsonResponse
    {
        $asked = $request->validate(['standard' => ['nullable', new Enum(ProofStandard::class)]]);
        $progress = $record->progress($zone) ?? abort(404, 'There is no record of this zone yet. Upload a station file first.');
        $standard = ProofStandard::from($asked['standard'] ?? $zone->standard);
        $isDone = $progress['done'] === $progress['total'];
        if (! $isDone) {
            KeepPromisesJob::dispatch($zone->id);
        }

        return response()->json([
            'data' => $progress + [
                'standard' => $standard->value,
                'windows' => $isDone ? $record->of($zone, $standard) : null,
                'log' => $isDone ? $logged->of($zone) : null,
            ],
        ]);
    }
}
