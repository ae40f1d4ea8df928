<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\YearRuler;
use App\Zones\Computation;
use App\Zones\Zone;

/**
 * Year ruler and climate sheet of every zone that has been computed.
 *
 * @phpstan-import-type Ruler from YearRuler
 * @phpstan-import-type Climate from ClimateSheet
 */
final class ZoneClimates
{
    /** @return array<string, array{ruler: Ruler, climate: Climate}> by slug */
    public static function all(): array
    {
        $computations = [];
        foreach (Zone::query()->with('currentComputation')->orderBy('name')->get() as $zone) {
            /** @var Zone $zone */
            if ($zone->currentComputation?->ruler_hash !== null) {
                $computations[$zone->slug] = $zone->currentComputation;
            }
        }
        $hashes = array_merge(
            ...array_values(array_map(static fn (Computation $c): array => [$c->ruler_hash, $c->climate_hash], $computations)),
        );
        $results = Results::read(array_map(strval(...), $hashes));
        $climates = [];
        foreach ($computations as $slug => $computation) {
            /** @var Ruler $ruler */
            $ruler = $results[(string) $computation->ruler_hash];
            /** @var Climate $climate */
            $climate = $results[(string) $computation->climate_hash];
            $climates[$slug] = ['ruler' => $ruler, 'climate' => $climate];
        }

        return $climates;
    }
}
