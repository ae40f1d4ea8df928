<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Season\ThisSeason;
use App\Crops\Crop;
use App\Operations\Answer;
use App\Results\PlaceOf;
use App\Windows\SowDayAsked;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class SuccessionController
{
    private const HALF_A_YEAR = 182;

    /** A continuous harvest of a crop, from a day of the year on. */
    public function show(Request $request, Zone $zone, Crop $crop, PlaceOf $places): JsonResponse
    {
        $asked = $request->validate(
            ['days' => ['nullable', 'integer', 'between:1,364'], 'amount' => ['nullable', 'numeric', 'between:0.01,10000']],
            [
                'days.between' => 'A succession lasts 1 to 364 days.',
                'amount.between' => 'Enter the kilograms, or stems, you need per week: more than 0 and at most 10,000.',
            ],
        );
        $question = SowDayAsked::in($request, $zone, $crop, $places->today($zone));

        return Answer::of(CropSuccession::of(
            $question,
            (int) ($asked['days'] ?? self::HALF_A_YEAR),
            isset($asked['amount']) ? (float) $asked['amount'] : null,
            ThisSeason::lacks($question->place) !== null ? null : ThisSeason::ofPlace($question->place),
        ));
    }
}
