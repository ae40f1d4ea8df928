<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Window\ProofStandard;
use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;

/** Whether a zone's windows came true. */
class TrackRecordController
{
    private const NO_RECORD = 'This zone has no climate record yet. Upload a station file first.';

    public function show(Request $request, Zone $zone, ZoneTrackRecord $record, ZoneLoggedPromises $logged): JsonResponse
    {
        $asked = $request->validate(['standard' => ['nullable', new Enum(ProofStandard::class)]]);
        $progress = $record->progress($zone) ?? abort(404, self::NO_RECORD);
        $standard = ProofStandard::from($asked['standard'] ?? $zone->standard);
        $isDone = $progress['done'] === $progress['total'];
        if (! $isDone) {
            KeepPromisesJob::dispatch($zone->id);
        }

        return Answer::of($progress + [
            'standard' => $standard->value,
            'windows' => $isDone ? $record->of($zone, $standard) : null,
            'log' => $isDone ? $logged->of($zone) : null,
        ]);
    }

    /**
     * The crops whose last 15 years clearly differ from those before; empty until all are judged, which happens when nothing else is
     * waiting.
     */
    public function turned(Request $request, Zone $zone, ZoneTrackRecord $record): JsonResponse
    {
        $asked = $request->validate(['standard' => ['nullable', new Enum(ProofStandard::class)]]);
        $progress = $record->progress($zone) ?? abort(404, self::NO_RECORD);
        if ($progress['done'] < $progress['total']) {
            KeepPromisesJob::dispatch($zone->id)->onQueue('sites');

            return Answer::of([]);
        }
        $crops = $record->of($zone, ProofStandard::from($asked['standard'] ?? $zone->standard))['crops'] ?? [];

        return Answer::of(array_values(array_filter($crops, static fn (array $crop): bool => $crop['turned'] !== null)));
    }

    /** Whether this season's counts did better than the calendar alone, as far as that has been judged. */
    public function season(Zone $zone, ZoneHoldOrGo $record): JsonResponse
    {
        $progress = $record->progress($zone) ?? abort(404, self::NO_RECORD);

        return Answer::of($progress + ['record' => $record->of($zone, ProofStandard::from($zone->standard))]);
    }

    /** Has it judged in the background. It takes minutes, so it only happens on request. */
    public function judgeSeason(Zone $zone, ZoneHoldOrGo $record): JsonResponse
    {
        Gate::authorize('update', $zone);
        abort_if($record->progress($zone) === null, 404, self::NO_RECORD);
        KeepMorningsJob::dispatch($zone->id);

        return $this->season($zone, $record)->setStatusCode(202);
    }
}
