<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\Day;
use Anthesis\Record\Element;
use App\Zones\ComputationResource;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

/** Questionable values, and what people decide about them. */
class QualityController
{
    public function index(Request $request, Zone $zone): QualityResource
    {
        return new QualityResource($this->station($zone, $request)->load('decisions.user'));
    }

    public function store(Request $request, Zone $zone, DecideOnValue $decide): JsonResponse
    {
        Gate::authorize('update', $zone);
        $decision = $request->validate(
            [
                'date' => ['required', 'date_format:Y-m-d'],
                'element' => ['required', new Enum(Element::class)],
                'accepted' => ['required', 'boolean'],
                'note' => ['required', 'string', 'max:500'],
                'replaces' => ['present', 'nullable', 'integer', 'between:1,9000000000000000'],
            ],
            [
                'replaces.present' => 'The decision this one replaces is missing (“replaces”; null for none). Reload the page.',
                'note.required' => 'Explain why in a few words, so others can follow.',
            ],
        );
        $station = $this->station($zone, $request);
        $record = $station->record?->asRead();
        $at = $record === null ? -1 : Day::fromIso($decision['date'])->number - $record->first->number;
        $value = $record?->of(Element::from($decision['element']))[$at] ?? null;
        if ($value === null) {
            throw ValidationException::withMessages([
                'date' => "The record has no {$decision['element']} for {$decision['date']}.",
            ]);
        }

        return (new ComputationResource(
            $decide->execute(
                $station,
                $decision,
                $decision['replaces'] === null ? null : (int) $decision['replaces'],
                $request->user(),
            ),
        ))
            ->response()
            ->setStatusCode(202);
    }

    public function destroy(Request $request, Zone $zone, StationDecision $decision, DecideOnValue $decide): JsonResponse
    {
        Gate::authorize('update', $zone);
        abort_unless($decision->station->zone_id === $zone->id, 404, 'This zone has no such decision.');

        return (new ComputationResource($decide->undo($decision, $request->user())))->response()->setStatusCode(202);
    }

    /** The station in the request, or the primary one. */
    private function station(Zone $zone, Request $request): Station
    {
        $asked = $request->integer('station');
        $station = $asked === 0 ? $zone->station : Station::query()->where('zone_id', $zone->id)->find($asked);

        return $station ?? abort(404, 'The zone has no record yet. Upload a station file first.');
    }
}
