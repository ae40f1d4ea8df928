<?php

declare(strict_types=1);

namespace App\Zones;

use App\Sites\Site;
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

    /** Computes the zone again; or at one site, which anyone at the desk may ask for, since nothing published depends on it. */
    public function store(Request $request, Zone $zone, QueueComputation $queue): JsonResponse
    {
        $siteId = $request->validate(['site' => ['nullable', 'integer']])['site'] ?? null;
        if ($siteId === null) {
            Gate::authorize('update', $zone);
        }
        if ($zone->stations()->whereNotNull('record_id')->doesntExist()) {
            throw ValidationException::withMessages(['zone' => 'The zone has no record yet. Upload a station file first.']);
        }
        $site =
            $siteId === null
                ? null
                : Site::seenIn($zone)->find((int) $siteId) ??
                    throw ValidationException::withMessages(['site' => 'This zone has no such growing site. Choose another one.']);

        return (new ComputationResource($queue->execute($zone, $request->user(), null, $site)))->response()->setStatusCode(202);
    }

    public function destroy(Computation $computation, CancelComputation $cancel): ComputationResource
    {
        Gate::authorize('update', $computation->zone);

        return new ComputationResource($cancel->execute($computation));
    }
}
