<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use App\Crops\ZoneCrops;
use App\Results\PlaceOf;
use App\Results\Results;
use App\Zones\Zone;

/** What the log says is growing, in the ground or indoors, and how this season continues for each. */
final readonly class ZoneUnderWay
{
    /** The most plantings shown, latest first. */
    private const MOST = 200;

    public function __construct(private PlaceOf $places)
    {
    }

    /** @return list<array<string, mixed>> as the contract's UnderWay, next harvest first */
    public function of(Zone $zone, Day $today): array
    {
        $sowings = array_values(
            Sowing::underWay($zone, $today)
                ->with(['crop.varieties', 'bed.site'])
                ->limit(self::MOST)
                ->get()
                ->all(),
        );
        $place = $sowings === [] ? null : $this->places->today($zone, $today);
        $goesOn = $place === null || ThisSeason::lacks($place) !== null ? [] : self::goesOn($zone, $place, $sowings);
        $told = [];
        foreach ($sowings as $i => $sowing) {
            $told[] = $sowing->told() + ['goes_on' => $goesOn[$i] ?? null];
        }
        usort(
            $told,
            static fn (array $a, array $b): int => [$a['goes_on']['first_pick'][1] ?? '9', $a['name'], $a['key']] <=> [
                $b['goes_on']['first_pick'][1] ?? '9',
                $b['name'],
                $b['key'],
            ],
        );

        return $told;
    }

    /**
     * @param  list<Sowing>  $sowings
     * @return array<int, array<string, mixed>> for each; plantings that are alike are followed once
     */
    private static function goesOn(Zone $zone, Place $place, array $sowings): array
    {
        $book = ZoneCrops::of($zone);

        return Results::each(
            $place,
            array_map(
                static fn (Sowing $s): UnderWayQuestion => new UnderWayQuestion(
                    $s->bed?->site?->toCore() ?? $place->site(),
                    $book->named($s->crop, $s->variety),
                    $s->route(),
                    self::seen($s),
                ),
                $sowings,
            ),
        );
    }

    /** @return array{on: Day, underCover: bool, up: Day|null, thinned: bool, picked: bool} */
    private static function seen(Sowing $sowing): array
    {
        $in = $sowing->inGroundOn();

        return [
            'on' => $in ?? Day::fromIso($sowing->begun_on->format('Y-m-d')),
            'underCover' => $in === null,
            'up' => Sowing::dayOf($sowing->up_on),
            'thinned' => $sowing->thinned_on !== null,
            'picked' => $sowing->first_picked_on !== null,
        ];
    }
}
