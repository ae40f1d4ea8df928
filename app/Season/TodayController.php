<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Window\ProofStandard;
use App\Operations\Today;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

class TodayController
{
    public function show(Request $request, Zone $zone, ZoneToday $zoneToday): JsonResponse
    {
        $asked = $request->validate(['site' => ['nullable', 'integer'], 'standard' => ['nullable', new Enum(ProofStandard::class)], 'on' => ['nullable', 'string', 'max:5']]);
        $record = ZoneRecord::of($zone) ?? abort(404, 'There is no record of this zone yet. Bring a station file first.');
        $today = Today::day();
        $on = self::other($asked['on'] ?? null, $today);
        if ($on === null) {
            $missing = ZoneToday::missing($record->used->first, $record->used->last(), $today);
            abort_if($missing !== null, 404, (string) $missing);
        }
        $site = isset($asked['site']) ? Site::seenIn($zone)->find((int) $asked['site']) ?? throw ValidationException::withMessages(['site' => 'There is no such site in this zone. Choose another one.']) : null;
        $standard = ProofStandard::from($asked['standard'] ?? $zone->standard);
        $told = $zoneToday->of($zone, $record, $site?->toCore() ?? Site::forZone($zone)[0], $standard, $today, $on);

        return response()->json(['data' => ['today' => $today->iso(), 'standard' => $standard->value, 'record_ends' => $told['record_ends'], 'outlook' => $told['outlook']] + $told['sheet']]);
    }

    /** @return Day|null the next such day of the year; null: today */
    private static function other(?string $monthDay, Day $today): ?Day
    {
        if ($monthDay === null) {
            return null;
        }
        try {
            $until = $today->yearDay()->daysUntil(YearDay::fromIso($monthDay));
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['on' => 'Give a day of the year as MM-DD.']);
        }

        return $until === 0 ? null : $today->plus($until);
    }
}
