<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\SowingWater;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Replay;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Crops\ZoneCrops;
use App\Operations\Answer;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Stations\ZoneRecord;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;

class WindowsController
{
    public function __construct(private readonly PlaceOf $places)
    {
    }

    public function index(Request $request, Zone $zone): WindowsResource
    {
        return new WindowsResource(self::windows($request, $zone, null));
    }

    public function show(Request $request, Zone $zone, string $crop): DossierResource
    {
        $windows = self::windows($request, $zone, $crop);
        abort_unless(isset($windows->dossiers[$crop]), 404, "There is no crop “{$crop}” in this zone’s windows.");

        return new DossierResource($windows, $crop);
    }

    /** How every planting of a crop turned out, year by year. */
    public function runs(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $site = WindowsAsked::in($request, $zone)->site;
        $variety = $request->integer('variety');
        $place = $this->place($zone);
        $grown =
            $variety === 0
                ? ZoneCrops::of($zone)->crop($crop)
                : ZoneCrops::of($zone)->variety($crop->varieties()->find($variety) ?? abort(404, 'There is no such variety.'), $crop);
        $route = array_filter($grown->routes, static fn ($r): bool => $r->value === $request->query('route'));

        $there = $place->at($site?->toCore() ?? $place->site());

        return Answer::of(CropRuns::of($there, $grown, array_values($route)[0] ?? $grown->routes[0]));
    }

    /** The crop at every site, and its varieties, compared with the crop in open ground. */
    public function compared(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $standard = WindowsAsked::in($request, $zone)->standard ?? ProofStandard::from($zone->standard);

        return Answer::of(Results::of($this->place($zone), new ComparisonQuestion(ZoneCrops::of($zone)->crop($crop), $standard)));
    }

    /** The longest days to maturity with which what is planted on a day still comes to harvest, by the record. */
    public function packetDays(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $asked = SowDayAsked::in($request, $zone, $crop, $this->places->zone($zone));

        return Answer::of([
            'packet_days' => PacketDays::left(
                Replay::ofPlace($asked->place),
                $asked->crop,
                $asked->route,
                $asked->day,
                $asked->standard,
            ),
        ]);
    }

    /** The water that plantings on a day had to be given; null without rain on record. */
    public function water(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $asked = SowDayAsked::in($request, $zone, $crop, $this->places->zone($zone));

        return Answer::of(SowingWater::of($asked->place, $asked->crop, $asked->route, $asked->day));
    }

    /** Seedlings to raise beside a direct sowing that often fails; null if they would not help. */
    public function spares(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $asked = SowDayAsked::in($request, $zone, $crop, $this->places->zone($zone));

        $question = new SparesQuestion($asked->place->site(), $asked->crop, $asked->day);

        return Answer::of(Results::of($asked->place, $question)['spares']);
    }

    /** What moves a crop's windows most. */
    public function sensitivity(Request $request, Zone $zone, Crop $crop): JsonResponse
    {
        $asked = $request->validate(
            ['route' => ['nullable', new Enum(Route::class)], 'standard' => ['nullable', new Enum(ProofStandard::class)]],
        );
        $grown = ZoneCrops::of($zone)->crop($crop);
        $route = isset($asked['route']) ? Route::from($asked['route']) : $grown->routes[0];
        abort_unless(in_array($route, $grown->routes, true), 404, 'The crop is not grown in this way.');
        $standard = ProofStandard::from($asked['standard'] ?? $zone->standard);

        $question = new SensitivityQuestion($grown, $crop->cells, $route, $standard, ZoneRecord::ledByOthers($zone));

        return Answer::of(Results::of($this->place($zone), $question)['movers']);
    }

    /** What the latest edition of the method changed, crop by crop. */
    public function methodChanges(Zone $zone): JsonResponse
    {
        return Answer::of(Results::of($this->place($zone), new MethodChangesQuestion(ProofStandard::from($zone->standard)))['changes']);
    }

    private function place(Zone $zone): Place
    {
        return $this->places->zone($zone) ?? abort(404, ZoneWindows::NOT_YET);
    }

    private static function windows(Request $request, Zone $zone, ?string $crop): ZoneWindows
    {
        $asked = WindowsAsked::in($request, $zone);

        return ZoneWindows::of($zone, $asked->site, $asked->standard, $crop) ??
            abort(404, $asked->site === null ? ZoneWindows::NOT_YET : 'The windows have not been computed for this site yet.');
    }
}
