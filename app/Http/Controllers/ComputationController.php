<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\ComputationResource;
use App\Jobs\ComputeZoneJob;
use App\Models\Computation;
use App\Models\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class ComputationController
{
    public function show(Computation $computation): ComputationResource
    {
        return new ComputationResource($computation);
    }

    public function store(Request $request, Zone $zone): JsonResponse
    {
        Gate::authorize('update', $zone);
        if ($zone->station?->record === null) {
            throw ValidationException::withMessages(['zone' => 'The zone has no record yet. Bring a station file first.']);
        }
        $computation = Computation::query()->create([
            'zone_id' => $zone->id,
            'user_id' => $request->user()?->getKey(),
            'state' => Computation::QUEUED,
            'step' => 'waiting for its turn',
        ]);
        ComputeZoneJob::dispatch($computation->id);

        return (new ComputationResource($computation->refresh()))->response()->setStatusCode(202);
    }
}
