<?php

declare(strict_types=1);

namespace App\Soil;

use Anthesis\Soil\ProbeCalibration;
use Anthesis\Soil\ProbeLog;
use Anthesis\Soil\Settling;
use Anthesis\Words\Refused;
use App\Operations\Answer;
use App\Operations\Say;
use App\Results\PlaceOf;
use App\Sites\CalibrationResource;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Measured soil, spot by spot. */
class SoilController
{
    public function __construct(private readonly ZoneSoil $soil, private readonly PlaceOf $places)
    {
    }

    public function index(Zone $zone): JsonResponse
    {
        return $this->told($zone);
    }

    public function storeSpot(Request $request, Zone $zone, SaveSpot $save): JsonResponse
    {
        $asked = $request->validate(
            ['name' => ['required', 'string', 'max:80'], 'site' => ['required', 'integer']],
            ['name.required' => 'Give the spot a name: “Bed 3”, “pots by the door”.'],
        );
        $site =
            Site::seenIn($zone)->find((int) $asked['site']) ??
            throw ValidationException::withMessages(['site' => 'This zone has no such growing site. Choose another one.']);
        $save->execute($zone, $asked['name'], $site);

        return $this->told($zone, 201);
    }

    public function storeReading(SoilReadingRequest $request, Zone $zone, KeepReading $keep): JsonResponse
    {
        $celsius = $request->validated('celsius');
        try {
            $keep->keep(
                $request->spot($zone),
                $request->user(),
                (string) $request->validated('key'),
                $request->day($zone->today()),
                (float) $request->validated('hour'),
                (float) $request->validated('depth'),
                $request->figures(),
                $celsius === null ? null : (float) $celsius,
                (bool) $request->validated('simulated'),
            );
        } catch (Refused $error) {
            throw ValidationException::withMessages(['figures' => Say::phrase($error->why)]);
        }

        return $this->told($zone, 201);
    }

    public function withdraw(Request $request, SoilReading $reading, KeepReading $keep): JsonResponse
    {
        Gate::authorize('withdraw', $reading);
        $keep->withdraw($reading, $request->user());

        return $this->told($reading->spot->zone);
    }

    public function fit(Request $request, Zone $zone): JsonResponse
    {
        $asked = $request->validate(['figures' => ['required', 'array', 'list']] + SoilReadingRequest::figureRules(), [
            'figures.required' => 'Send the figures as they moved (“figures”).',
        ]);
        try {
            $fit = Settling::of(array_map(static fn (array $f): array => [(float) $f[0], (float) $f[1]], array_values($asked['figures'])));
        } catch (Refused $error) {
            throw ValidationException::withMessages(['figures' => Say::phrase($error->why)]);
        }

        return Answer::of([
            'celsius' => round($fit->celsius, 2),
            'within' => $fit->within === null ? null : round($fit->within, 2),
            'time_constant' => round($fit->timeConstant, 1),
            'to_go' => round($fit->toGo, 2),
            'settled' => $fit->isSettled(),
        ]);
    }

    public function probe(Request $request, SoilSpot $spot, ProbeSource $probe): JsonResponse
    {
        $seconds = (float) $request->validate(['seconds' => ['required', 'numeric', 'between:0,3600']])['seconds'];
        $figure =
            $probe->figure($spot, $spot->zone->today(), $seconds) ??
            abort(404, 'No probe is connected, or it shows nothing. Type the figures as they move.');

        return Answer::of(['seconds' => $seconds, 'celsius' => $figure, 'source' => (string) $probe->name(), 'pace' => $probe->pace()]);
    }

    public function calibration(SoilSpot $spot): CalibrationResource
    {
        $place =
            $this->places->zone($spot->zone) ??
            throw ValidationException::withMessages(['zone' => 'The zone has no record yet. Upload a station file first.']);
        $log = new ProbeLog(
            array_values($spot->readings->whereNull('withdrawn_at')->map(static fn (SoilReading $r) => $r->toCore())->all()),
        );
        $depth = $log->depths()[0]['depth'] ?? abort(404, 'There are no readings at this spot yet.');
        $site = $spot->site ?? Site::seenIn($spot->zone)->firstOrFail();
        try {
            $calibration = ProbeCalibration::of($place->whole->days(), $place->latitude, $site->toCore(), $log->atDepth($depth));
        } catch (Refused $error) {
            abort(404, Say::phrase($error->why));
        }

        return new CalibrationResource(['site' => $site, 'depth' => $depth, 'log' => $log, 'calibration' => $calibration]);
    }

    private function told(Zone $zone, int $status = 200): JsonResponse
    {
        return Answer::of($this->soil->of($zone, $zone->today()), $status);
    }
}
