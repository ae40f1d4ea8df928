<?php

declare(strict_types=1);

namespace App\Zones;

use App\People\VersionedRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;

class ZoneController
{
    public function index(): AnonymousResourceCollection
    {
        return ZoneResource::collection(Zone::query()->with(ZoneResource::RELATIONS)->orderBy('name')->get());
    }

    public function store(ZoneRequest $request, SaveZone $save): JsonResponse
    {
        $zone = $save->create($request->values(), $request->user());

        return (new ZoneResource($zone->load(ZoneResource::RELATIONS)))->response()->setStatusCode(201);
    }

    public function show(Zone $zone): ZoneResource
    {
        return new ZoneResource($zone->load(ZoneResource::RELATIONS));
    }

    public function update(ZoneRequest $request, Zone $zone, SaveZone $save): ZoneResource
    {
        return new ZoneResource(
            $save->edit($zone, $request->values(), VersionedRequest::of($request), $request->user())->load(ZoneResource::RELATIONS),
        );
    }
}
