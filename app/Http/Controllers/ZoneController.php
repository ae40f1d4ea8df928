<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\SaveZone;
use App\Http\Requests\VersionedRequest;
use App\Http\Requests\ZoneRequest;
use App\Http\Resources\ZoneResource;
use App\Models\Zone;
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
        return (new ZoneResource($save->create($request->values())))->response()->setStatusCode(201);
    }

    public function show(Zone $zone): ZoneResource
    {
        return new ZoneResource($zone->load(ZoneResource::RELATIONS));
    }

    public function update(ZoneRequest $request, Zone $zone, SaveZone $save): ZoneResource
    {
        return new ZoneResource($save->edit($zone, $request->values(), VersionedRequest::of($request), $request->user()));
    }
}
