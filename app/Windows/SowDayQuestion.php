<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Crop\Crop as CoreCrop;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site as CoreSite;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Crops\ZoneCrops;
use App\Results\ZoneReplay;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

/** What a question about a sow day of a crop asks of: the years, the crop as it is grown, the day and the share of years. */
final readonly class SowDayQuestion
{
    private function __construct(public Replay $replay, public CoreSite $site, public CoreCrop $crop, public Route $route, public YearDay $day, public float $standard)
    {
    }

    /** @throws ValidationException naming what cannot be asked */
    public static function in(Request $request, Zone $zone, Crop $crop): self
    {
        $question = WindowsQuestion::in($request, $zone);
        $asked = $request->validate(['route' => ['nullable', new Enum(Route::class)], 'on' => ['required', 'string', 'max:5']], ['on.required' => 'Say on which day of the year (“on”, MM-DD).']);
        $record = ZoneRecord::of($zone) ?? abort(404, ZoneWindows::NOT_YET);
        try {
            $day = YearDay::fromIso($asked['on']);
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['on' => 'Give a day of the year as MM-DD.']);
        }
        $grown = ZoneCrops::of($zone)->crop($crop);
        $route = isset($asked['route']) ? Route::from($asked['route']) : $grown->routes[0];
        abort_unless(in_array($route, $grown->routes, true), 404, 'The crop is not grown in this way.');
        $site = $question->site?->toCore() ?? Site::forZone($zone)[0];

        return new self(ZoneReplay::of($zone, $record, $site), $site, $grown, $route, $day, ($question->standard ?? ProofStandard::from($zone->standard))->share());
    }
}
