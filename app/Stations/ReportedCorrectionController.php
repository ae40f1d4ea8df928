<?php

declare(strict_types=1);

namespace App\Stations;

use App\Operations\Answer;
use App\Zones\ComputationResource;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Values that devices report differently from the record, until somebody decides about them. */
class ReportedCorrectionController
{
    /** The most that are listed at a time, oldest days first. */
    private const LISTED = 200;

    public function index(Zone $zone): JsonResponse
    {
        return Answer::of(['corrections' => $this->open($zone), 'computation' => null]);
    }

    public function decide(Request $request, Zone $zone, DecideOnCorrections $decide): JsonResponse
    {
        Gate::authorize('update', $zone);
        $asked = $request->validate([
            'ids' => ['required', 'array', 'list', 'max:'.self::LISTED],
            'ids.*' => ['integer', 'between:1,9000000000000000'],
            'use' => ['required', 'boolean'],
        ]);
        $computation = $decide->execute($zone, array_values(array_map(intval(...), $asked['ids'])), (bool) $asked['use'], $request->user());

        return Answer::of([
            'corrections' => $this->open($zone),
            'computation' => $computation === null ? null : new ComputationResource($computation),
        ], 202);
    }

    /** @return array<int, mixed> */
    private function open(Zone $zone): array
    {
        $open = ReportedCorrection::query()
            ->whereRelation('station', 'zone_id', $zone->id)
            ->whereNull('decided_at')
            ->orderBy('day')
            ->orderBy('id')
            ->limit(self::LISTED)
            ->get();

        return ReportedCorrectionResource::collection($open)->resolve();
    }
}
