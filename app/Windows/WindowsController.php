<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Crop\Crop as CoreCrop;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Replay;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Crops\ZoneCrops;
use App\Results\ZoneReplay;
use App\Sites\Site;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;

class WindowsController
{
    private const HALF_A_YEAR = 182;

    private const NOT_YET = 'The zone has not been computed yet. Bring a station file first.';

    private const NOT_THERE_YET = 'The windows have not been computed for this site yet.';

    public function index(Request $request, Zone $zone): WindowsResource
    {
        [$site, $standard] = $this->asked($request, $zone);

        return new WindowsResource(ZoneWindows::of($zone, $site, $standard) ?? abort(404, $site === null ? self::NOT_YET : self::NOT_THERE_YET));
    }

    public function show(Request $request, Zone $zone, string $crop): DossierResource
    {
        [$site, $standard] = $this->asked($request, $zone);
        $windows = ZoneWindows::of($zone, $site, $standard, $crop) ?? abort(404, $site === null ? self::NOT_YET : self::NOT_THERE_YET);
        abort_unless(isset($windows->dossiers[$crop]), 404, "There is no crop “{$crop}” in this zone’s windows.");

        return new DossierResource($windows, $crop);
    }

    /** What every sowing of a crop came to, year by year. */
    public function runs(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        [$site] = $this->asked($request, $zone);
        $variety = $request->integer('variety');
        $record = ZoneRecord::of($zone) ?? abort(404, self::NOT_YET);
        $grown = $variety === 0 ? ZoneCrops::of($zone)->crop($crop) : ZoneCrops::of($zone)->variety($crop->varieties()->find($variety) ?? abort(404, 'There is no such variety.'), $crop);
        $route = array_filter($grown->routes, static fn ($r): bool => $r->value === $request->query('route'));

        return response()->json(['data' => CropRuns::of($zone, $record, $site?->toCore() ?? Site::forZone($zone)[0], $grown, array_values($route)[0] ?? $grown->routes[0])]);
    }

    /** The crop at every site, and its varieties, against the crop in open ground. */
    public function compared(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        [, $standard] = $this->asked($request, $zone);
        $record = ZoneRecord::of($zone) ?? abort(404, self::NOT_YET);

        return response()->json(['data' => CropComparison::of($zone, $record, $crop, $standard ?? ProofStandard::from($zone->standard))]);
    }

    /** How many days a packet may promise, for what is sown on a day still to come to harvest; by the record. */
    public function packetDays(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        [$replay, $grown, $route, $day, $standard] = $this->sownOn($request, $zone, $crop);

        return response()->json(['data' => ['packet_days' => PacketDays::left($replay, $grown, $route, $day, $standard)]]);
    }

    public function succession(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $asked = $request->validate(['days' => ['nullable', 'integer', 'between:1,364'], 'kg' => ['nullable', 'numeric', 'between:0.01,10000']],
            ['days.between' => 'A succession goes on for 1 to 364 days.', 'kg.between' => 'Give the kilograms wanted a week, more than nothing and at most 10000.']);
        [$replay, $grown, $route, $day, $standard] = $this->sownOn($request, $zone, $crop);

        return response()->json(['data' => CropSuccession::of($replay, $grown, $route, $day, (int) ($asked['days'] ?? self::HALF_A_YEAR), $standard, isset($asked['kg']) ? (float) $asked['kg'] : null)]);
    }

    /** @return array{Replay, CoreCrop, Route, YearDay, float} what a question about a sow day asks of: the years, the crop, how it is grown, the day and the share of years */
    private function sownOn(Request $request, Zone $zone, Crop $crop): array
    {
        [$site, $standard] = $this->asked($request, $zone);
        $asked = $request->validate(['route' => ['nullable', new Enum(Route::class)], 'on' => ['required', 'string', 'max:5']], ['on.required' => 'Say on which day of the year (“on”, MM-DD).']);
        $record = ZoneRecord::of($zone) ?? abort(404, self::NOT_YET);
        try {
            $day = YearDay::fromIso($asked['on']);
        } catch (InvalidArgumentException) {
            throw ValidationException::withMessages(['on' => 'Give a day of the year as MM-DD.']);
        }
        $grown = ZoneCrops::of($zone)->crop($crop);
        $route = isset($asked['route']) ? Route::from($asked['route']) : $grown->routes[0];
        abort_unless(in_array($route, $grown->routes, true), 404, 'The crop is not grown in this way.');

        return [ZoneReplay::of($zone, $record, $site?->toCore() ?? Site::forZone($zone)[0]), $grown, $route, $day, ($standard ?? ProofStandard::from($zone->standard))->share()];
    }

    /** What the second edition of the method moved, crop by crop. */
    public function methodChanges(Zone $zone): JsonResponse
    {
        return response()->json(['data' => MethodChanges::of($zone, ZoneRecord::of($zone) ?? abort(404, self::NOT_YET))]);
    }

    /** @return array{Site|null, ProofStandard|null} */
    private function asked(Request $request, Zone $zone): array
    {
        $asked = $request->validate(['site' => ['nullable', 'integer'], 'standard' => ['nullable', new Enum(ProofStandard::class)]]);
        $site = isset($asked['site']) ? Site::seenIn($zone)->find((int) $asked['site']) : null;
        if (isset($asked['site']) && $site === null) {
            throw ValidationException::withMessages(['site' => 'There is no such site in this zone. Choose another one.']);
        }

        // Open ground is what the zone itself is computed at.
        return [$site?->toCore() == Site::forZone($zone)[0] ? null : $site, isset($asked['standard']) ? ProofStandard::from($asked['standard']) : null];
    }
}
