<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\YearCourse;
use Anthesis\Climate\RecordYears;
use Anthesis\Place\Place;
use Anthesis\Window\ProofStandard;
use Anthesis\Words\Refused;
use App\Operations\Answer;
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

    /** The climate that the zone's windows are based on, or that of another period, for comparison. */
    public function show(Request $request, Zone $zone): ClimateResource
    {
        $period = self::period($request);
        if ($period !== null) {
            $then = $this->over($zone, $period);

            return new ClimateResource(Results::each($then, ['ruler' => new RulerQuestion(), 'climate' => ClimateQuestion::for($then)]));
        }
        $hashes = [
            'ruler' => (string) $zone->currentComputation?->ruler_hash,
            'climate' => (string) $zone->currentComputation?->climate_hash,
        ];
        $known = Results::read(array_values($hashes));
        abort_unless(isset($known[$hashes['ruler']], $known[$hashes['climate']]), 404, self::NOT_YET);

        return new ClimateResource(['ruler' => $known[$hashes['ruler']], 'climate' => $known[$hashes['climate']]]);
    }

    /** Rain, snow, and when ground can be worked, in the years in use or another period; null without rain on record. */
    public function rain(Request $request, Zone $zone): JsonResponse
    {
        $period = self::period($request);
        $place = $period === null ? $this->places->zone($zone) ?? abort(404, self::NOT_YET) : $this->over($zone, $period);

        return Answer::of(Results::of($place, new RainQuestion(ProofStandard::from($zone->standard)))['rain']);
    }

    /** One year as it was, day by day. */
    public function year(Zone $zone, int $year): JsonResponse
    {
        $place = $this->places->zone($zone) ?? abort(404, self::NOT_YET);

        return Answer::of(YearCourse::of($place->whole->days(), $place->latitude, $place->site(), $year));
    }

    /** @return array{int, int}|null first and last cold season requested; null: none */
    private static function period(Request $request): ?array
    {
        $asked = $request->validate(
            [
                'from' => ['required_with:to', 'integer', 'between:1700,2200'],
                'to' => ['required_with:from', 'integer', 'between:1700,2200', 'gte:from'],
            ],
            ['to.gte' => 'The period ends before it starts.'],
        );

        return $asked === [] ? null : [(int) $asked['from'], (int) $asked['to']];
    }

    /** @param  array{int, int}  $period */
    private function over(Zone $zone, array $period): Place
    {
        $place = $this->places->zone($zone) ?? abort(404, self::NOT_YET);
        try {
            return $place->overYears(RecordYears::period($place->whole->days(), $place->latitude, ...$period));
        } catch (Refused $error) {
            throw ValidationException::withMessages(['from' => Say::phrase($error->why)]);
        }
    }
}
