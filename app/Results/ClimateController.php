<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\YearCourse;
use Anthesis\Climate\RecordYears;
use Anthesis\Window\ProofStandard;
use Anthesis\Words\Refused;
use App\Operations\Say;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

class ClimateController
{
    public function __construct(private readonly PlaceOf $places)
    {
    }

    private const NOT_YET = 'The zone has not been computed yet. Upload a station file first.';

    /** The climate the zone's windows lean on, or that of another period, to hold it against. */
    public function show(Request $request, Zone $zone): ClimateResource
    {
        $period = $request->validate(
            [
                'from' => ['required_with:to', 'integer', 'between:1700,2200'],
                'to' => ['required_with:from', 'integer', 'between:1700,2200', 'gte:from'],
            ],
            ['to.gte' => 'The period ends before it begins.'],
        );
        if ($period !== []) {
            return new ClimateResource($this->ofPeriod($zone, (int) $period['from'], (int) $period['to']));
        }
        $hashes = [
            'ruler' => (string) $zone->currentComputation?->ruler_hash,
            'climate' => (string) $zone->currentComputation?->climate_hash,
        ];
        $known = Results::read(array_values($hashes));
        abort_unless(isset($known[$hashes['ruler']], $known[$hashes['climate']]), 404, self::NOT_YET);

        return new ClimateResource(['ruler' => $known[$hashes['ruler']], 'climate' => $known[$hashes['climate']]]);
    }

    /** Rain, snow, and when ground can be worked; null without rain on record. */
    public function rain(Zone $zone): JsonResponse
    {
        $place = $this->places->zone($zone) ?? abort(404, self::NOT_YET);

        return response()->json(['data' => Results::of($place, new RainQuestion(ProofStandard::from($zone->standard)))['rain']]);
    }

    /** One year as it was, day by day. */
    public function year(Zone $zone, int $year): JsonResponse
    {
        $place = $this->places->zone($zone) ?? abort(404, self::NOT_YET);

        return response()->json(['data' => YearCourse::of($place->whole->days(), $place->latitude, $place->site(), $year)]);
    }

    /** @return array{ruler: array<string, mixed>, climate: array<string, mixed>} */
    private function ofPeriod(Zone $zone, int $from, int $to): array
    {
        $place = $this->places->zone($zone) ?? abort(404, self::NOT_YET);
        try {
            $then = $place->overYears(RecordYears::period($place->whole->days(), $place->latitude, $from, $to));

            return Results::each($then, ['ruler' => new RulerQuestion(), 'climate' => ClimateQuestion::for($then)]);
        } catch (Refused $error) {
            throw ValidationException::withMessages(['from' => Say::phrase($error->why)]);
        }
    }
}
