<?php

declare(strict_types=1);

namespace App\Advisories;

use Anthesis\Record\Day;
use App\Season\ZoneToday;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

class AdvisoryController
{
    private const TOLD = 50;

    /** After this, advice on a season is out of date. */
    private const MOST_DAYS = 60;

    public function index(Zone $zone): AnonymousResourceCollection
    {
        return AdvisoryResource::collection(
            Advisory::query()->where('zone_id', $zone->id)->orderByDesc('id')->limit(self::TOLD)->get(),
        );
    }

    public function store(Request $request, Zone $zone, PublishAdvisory $publish, ZoneToday $today): JsonResponse
    {
        Gate::authorize('publish', $zone);
        $asked = $request->validate(
            [
                'key' => ['required', 'string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'],
                'ground' => ['nullable', 'string', 'max:40'],
                'text' => ['required', 'string', 'max:600'],
                'until' => ['required', 'string', 'max:10'],
            ],
            [
                'key.required' => 'Send your own key (“key”) so the same request is not carried out twice.',
                'text.required' => 'Tell gardeners in a sentence or two what they should know.',
                'until.required' => 'Choose the last day it should be shown.',
            ],
        );
        $advisory = $publish->publish(
            $zone,
            $asked['key'],
            $asked['ground'] ?? null,
            $asked['text'],
            $today->evidence($zone, $zone->today(), $asked['ground'] ?? null),
            $zone->today(),
            self::until($asked['until'], $zone->today()),
            $request->user(),
        );

        return (new AdvisoryResource($advisory))->response()->setStatusCode(201);
    }

    public function withdraw(Request $request, Advisory $advisory, PublishAdvisory $publish): AdvisoryResource
    {
        Gate::authorize('publish', $advisory->zone);
        $reason = $request->validate(
            ['reason' => ['required', 'string', 'max:600']],
            ['reason.required' => 'Enter the reason for withdrawing it. Readers will see it on the pages.'],
        )['reason'];

        return new AdvisoryResource($publish->withdraw($advisory, $reason, $advisory->zone->today(), $request->user()));
    }

    public function reinstate(Request $request, Advisory $advisory, PublishAdvisory $publish): AdvisoryResource
    {
        Gate::authorize('publish', $advisory->zone);

        return new AdvisoryResource($publish->reinstate($advisory, $request->user() ?? abort(401)));
    }

    private static function until(string $iso, Day $today): Day
    {
        try {
            $until = Day::fromIso($iso);
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['until' => 'Enter the last day it should be shown as YYYY-MM-DD.']);
        }
        $days = $today->daysUntil($until);
        if ($days < 0 || $days > self::MOST_DAYS) {
            throw ValidationException::withMessages([
                'until' => 'Choose a day from today on, at most '.self::MOST_DAYS.' days ahead: what is said of a season does not keep.',
            ]);
        }

        return $until;
    }
}
