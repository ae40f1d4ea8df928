<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Crop\Crop as CoreCrop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Crops\ZoneCrops;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** What a request about a sow day of a crop refers to: the years, the crop as it is grown, the day, and the confidence level. */
final readonly class SowDayAsked
{
    /** @param  Place  $place  at the requested site */
    private function __construct(
        public Place $place,
        public CoreCrop $crop,
        public Route $route,
        public YearDay $day,
        public float $standard,
    ) {
    }

    /**
     * @param  Place|null  $place  the zone's; null: it has no record
     *
     * @throws ValidationException naming what is not possible
     */
    public static function in(Request $request, Zone $zone, Crop $crop, ?Place $place): self
    {
        $question = WindowsAsked::in($request, $zone);
        $asked = $request->validate(
            ['route' => ['nullable', new Enum(Route::class)], 'on' => ['required', 'string', 'max:5']],
            ['on.required' => 'Enter a day of the year (“on”, MM-DD).'],
        );
        $place ??= abort(404, ZoneWindows::NOT_YET);
        try {
            $day = YearDay::fromIso($asked['on']);
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['on' => 'Enter a day of the year as MM-DD.']);
        }
        $grown = ZoneCrops::of($zone)->crop($crop);
        $route = isset($asked['route']) ? Route::from($asked['route']) : $grown->routes[0];
        abort_unless(in_array($route, $grown->routes, true), 404, 'The crop is not grown in this way.');

        return new self(
            $place->at($question->site?->toCore() ?? $place->site()),
            $grown,
            $route,
            $day,
            ($question->standard ?? ProofStandard::from($zone->standard))->share(),
        );
    }
}
