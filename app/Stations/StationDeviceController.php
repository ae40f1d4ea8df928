<?php

declare(strict_types=1);

namespace App\Stations;

use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** The devices that report for the stations of a zone. */
class StationDeviceController
{
    public function index(Zone $zone): AnonymousResourceCollection
    {
        $devices = StationDevice::query()
            ->whereIn('station_id', Station::query()->select('id')->where('zone_id', $zone->id))
            ->orderBy('id')
            ->get();

        return StationDeviceResource::collection($devices);
    }

    public function store(Request $request, Zone $zone, SaveDevice $save): JsonResponse
    {
        Gate::authorize('update', $zone);
        $asked = $request->validate(
            ['station' => ['required', 'integer'], 'name' => ['required', 'string', 'max:80']],
            ['name.required' => 'Enter a name for the device.'],
        );
        $station =
            Station::query()->where('zone_id', $zone->id)->find((int) $asked['station']) ??
            throw ValidationException::withMessages(['station' => 'This zone has no such station. Choose another one.']);
        [$device, $token] = $save->add($station, $asked['name'], $request->user());

        $told = ['device' => new StationDeviceResource($device), 'token' => $token, 'address' => url('/api/station-reports')];

        return Answer::of($told, 201);
    }

    public function destroy(Request $request, StationDevice $device, SaveDevice $save): AnonymousResourceCollection
    {
        $zone = $device->station->zone;
        Gate::authorize('update', $zone);
        $save->end($device, $request->user() ?? abort(401));

        return $this->index($zone);
    }

    public function restore(Request $request, int $device, SaveDevice $save): AnonymousResourceCollection
    {
        $zone = StationDevice::query()->withTrashed()->findOrFail($device)->station->zone;
        Gate::authorize('update', $zone);
        $save->restore(StationDevice::undoable()->findOrFail($device), $request->user() ?? abort(401));

        return $this->index($zone);
    }
}
