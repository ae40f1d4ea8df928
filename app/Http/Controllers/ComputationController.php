<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\QueueComputation;
use App\Http\Resources\ComputationResource;
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

    public function store(Request $request, Zone $zone, QueueComputation $queue): JsonResponse
    {
        Gate::authorize('update', $zone);
        if ($zone->stations()->whereNotNull('record_id')->doesntExist()) {
            throw ValidationException::withMessages(['zone' => 'The zone has no record yet. Bring a station file first.']);
        }

        return (new ComputationResource($queue->execute($zone, $request->user())))->response()->setStatusCode(202);
    }
}
