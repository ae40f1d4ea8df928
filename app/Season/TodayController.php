<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\StillFits;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Window\ProofStandard;
use App\Crops\ZoneCrops;
use App\Operations\Answer;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Sites\Site;
use App\Windows\ZoneWindows;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

class TodayController
{
    private const NO_RECORD = 'This zone has no climate record yet. Upload a station file first.';

    public function __construct(private readonly PlaceOf $places)
    {
    }

    public function show(Request $request, Zone $zone, ZoneToday $zoneToday): JsonResponse
    {
        $asked = $request->validate([
            'site' => ['nullable', 'integer'],
            'standard' => ['nullable', new Enum(ProofStandard::class)],
            'on' => ['nullable', 'string', 'max:5'],
        ]);
        $place = $this->places->today($zone) ?? abort(404, self::NO_RECORD);
        $today = $place->today();
        $on = self::other($asked['on'] ?? null, $today);
        if ($on === null) {
            $missing = ZoneToday::missing($place);
            abort_if($missing !== null, 404, (string) $missing);
        }
        $site = isset($asked['site'])
            ? Site::seenIn($zone)->find((int) $asked['site']) ??
                throw ValidationException::withMessages(['site' => 'This zone has no such growing site. Choose another one.'])
            : null;
        $standard = ProofStandard::from($asked['standard'] ?? $zone->standard);
        $told = $zoneToday->of($place->at($site?->toCore() ?? $place->site()), $standard, $on);

        return Answer::of([
            'today' => $today->iso(),
            'standard' => $standard->value,
            'record_ends' => $told['record_ends'],
            'outlook' => $told['outlook'],
        ] + $told['sheet']);
    }

    /** Whether ground can be worked today; null without recent rain on record. */
    public function workable(Zone $zone): JsonResponse
    {
        $place = $this->places->today($zone) ?? abort(404, self::NO_RECORD);

        return Answer::of(Results::of($place, new WorkableQuestion())['workable']);
    }

    /** What can still be planted and come to harvest, by days to its first harvest. */
    public function stillFits(Request $request, Zone $zone): JsonResponse
    {
        $asked = $request->validate(['on' => ['nullable', 'string', 'max:5']]);
        $windows = ZoneWindows::of($zone) ?? abort(404, ZoneWindows::NOT_YET);
        $day = self::other($asked['on'] ?? null, $zone->today()) ?? $zone->today();

        return Answer::of([
            'on' => $day->iso(),
            'days_to_freeze' => StillFits::daysToFreeze(
                $windows->ruler['freeze_has_come'],
                $windows->ruler['seasons'],
                $day->yearDay(),
            ),
            'fits' => StillFits::of($windows->dossiers, ZoneCrops::of($zone)->book(), $windows->standard, $day->yearDay()),
        ]);
    }

    /** @return Day|null the next date on that day of the year; null: today */
    private static function other(?string $monthDay, Day $today): ?Day
    {
        if ($monthDay === null) {
            return null;
        }
        try {
            $until = $today->yearDay()->daysUntil(YearDay::fromIso($monthDay));
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['on' => 'Enter a day of the year as MM-DD.']);
        }

        return $until === 0 ? null : $today->plus($until);
    }
}
