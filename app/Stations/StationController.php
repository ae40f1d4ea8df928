<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Climate\RecordYears;
use App\People\VersionedRequest;
use App\Zones\ChooseYears;
use App\Zones\ComputationResource;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The stations of a zone in order, what each adds to its record, and the years it uses. */
class StationController
{
    public function index(Zone $zone): StationsResource
    {
        return new StationsResource(
            $zone,
            ZoneRecord::of($zone),
            array_values(Station::usedBy($zone)->get()->all()),
            array_values(Station::query()->with('record')->where('zone_id', $zone->id)->whereNull('rank')->get()->all()),
        );
    }

    public function update(StationsRequest $request, Zone $zone, SaveStations $save): JsonResponse
    {
        return (new ComputationResource(
            $save->execute($zone, $request->stations(), VersionedRequest::of($request), $request->user()),
        ))
            ->response()
            ->setStatusCode(202);
    }

    public function years(Request $request, Zone $zone, ChooseYears $choose): JsonResponse
    {
        Gate::authorize('update', $zone);
        $years = $request->validate(
            ['years' => ['present', 'nullable', Rule::in(RecordYears::LATEST)]],
            ['years.in' => 'Choose all years, or the latest '.implode(', ', RecordYears::LATEST).'.'],
        )['years'];

        return (new ComputationResource(
            $choose->execute($zone, $years === null ? null : (int) $years, VersionedRequest::of($request), $request->user()),
        ))
            ->response()
            ->setStatusCode(202);
    }

    /** The filled series, each value with the station it came from. */
    public function csv(Zone $zone): StreamedResponse
    {
        $record = ZoneRecord::of($zone) ?? abort(404, 'The zone has no record yet. Upload a station file first.');

        return response()->streamDownload(static fn () => FilledRecordCsv::write($record), "{$zone->slug}-record.csv", [
            'Content-Type' => 'text/csv; charset=utf-8',
        ]);
    }
}
