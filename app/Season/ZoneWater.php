<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\RainSheet;
use Anthesis\Record\Day;
use Anthesis\Soil\Ground;
use Anthesis\Window\ProofStandard;
use App\Results\PlaceOf;
use App\Results\RainQuestion;
use App\Results\Results;
use App\Zones\Zone;

/** What gardeners are told about a zone's water on a day: whether loam can be worked, and how much a normal week brings and takes. */
final readonly class ZoneWater
{
    public function __construct(private PlaceOf $places)
    {
    }

    /**
     * @return array{ground: array{fit: bool, half: string|null}|null, water: array{rain: float, et0: float}|null} mm in the mean week; null
     *   without rain on record, or while ground cannot be worked
     */
    public function of(Zone $zone, Day $day): array
    {
        $place = $this->places->today($zone, $day);
        if ($place === null) {
            return ['ground' => null, 'water' => null];
        }
        $workable = Results::of($place, new WorkableQuestion())['workable'];
        $rain = Results::of($place, new RainQuestion(ProofStandard::from($zone->standard)))['rain'];
        $loam = $workable === null ? null : array_column($workable['grounds'], null, 'ground')[Ground::DEFAULT];

        $isFit = $loam === null || $loam['fit'];

        return [
            'ground' => $loam === null ? null : ['fit' => $isFit, 'half' => $loam['half']],
            // Nobody waters ground that is wet, frozen, or under snow.
            'water' => $rain === null || ! $isFit ? null : RainSheet::week($rain, $place->yearStart(), $day->yearDay()),
        ];
    }
}
