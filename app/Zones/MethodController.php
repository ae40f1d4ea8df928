<?php

declare(strict_types=1);

namespace App\Zones;

use Anthesis\Crop\LightSchool;
use Anthesis\Window\ProofStandard;
use App\People\VersionedRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;

/** A zone's confidence level, how light counts, and whether windows wait for soil and ground. */
class MethodController
{
    public function update(Request $request, Zone $zone, ChooseMethod $choose): JsonResponse
    {
        Gate::authorize('update', $zone);
        $method = $request->validate([
            'standard' => ['required', new Enum(ProofStandard::class)],
            'light' => ['required', new Enum(LightSchool::class)],
            'waits_for_soil' => ['sometimes', 'boolean'],
            'waits_for_ground' => ['sometimes', 'boolean'],
        ]);

        return (new ComputationResource(
            $choose->execute(
                $zone,
                ProofStandard::from($method['standard']),
                LightSchool::from($method['light']),
                (bool) ($method['waits_for_soil'] ?? $zone->waits_for_soil),
                (bool) ($method['waits_for_ground'] ?? $zone->waits_for_ground),
                VersionedRequest::of($request),
                $request->user(),
            ),
        ))
            ->response()
            ->setStatusCode(202);
    }
}
