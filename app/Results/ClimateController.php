<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\YearCourse;
use Anthesis\Climate\RecordYears;
use Anthesis\Record\Latitude;
use Anthesis\Words\Refused;
use App\Operations\Say;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

class ClimateController
{
    private const NOT_YET = 'The zone has not been computed yet. Bring a station file first.';

    /** The climate the zone's windows lean on, or that of another period, to hold it against. */
    public function show(Request $request, Zone $zone, ComputeClimate $compute): ClimateResource
    {
        $period = $request->validate([
            'from' => ['required_with:to', 'integer', 'between:1700,2200'],
            'to' => ['required_with:from', 'integer', 'between:1700,2200', 'gte:from'],
        ], ['to.gte' => 'The period ends before it begins.']);
        $hashes = $period === [] ? ['ruler' => $zone->currentComputation?->ruler_hash, 'climate' => $zone->currentComputation?->climate_hash]
            : $this->ofPeriod($zone, (int) $period['from'], (int) $period['to'], $compute);
        $ruler = Result::query()->find($hashes['ruler']) ?? abort(404, self::NOT_YET);
        $climate = Result::query()->find($hashes['climate']) ?? abort(404, self::NOT_YET);

        return new ClimateResource(['ruler' => $ruler->content(), 'climate' => $climate->content()]);
    }

    /** One year as it was, day by day. */
    public function year(Zone $zone, int $year): JsonResponse
    {
        $record = ZoneRecord::of($zone) ?? abort(404, self::NOT_YET);

        return response()->json(['data' => YearCourse::of($record->filled->record, Latitude::of($zone->latitude), Site::forZone($zone)[0], $year)]);
    }

    /** @return array{ruler: string, climate: string} */
    private function ofPeriod(Zone $zone, int $from, int $to, ComputeClimate $compute): array
    {
        $record = ZoneRecord::of($zone) ?? abort(404, self::NOT_YET);
        try {
            return $compute->execute($zone, RecordYears::period($record->filled->record, Latitude::of($zone->latitude), $from, $to));
        } catch (Refused $error) {
            throw ValidationException::withMessages(['from' => Say::phrase($error->why)]);
        }
    }
}
