<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Ground\Preparation;
use Anthesis\Record\Day;
use App\Results\Results;
use App\Zones\Computation;
use App\Zones\Zone;

/** What is to be done for what is planned, day by day, with its reason. */
final readonly class ZoneTasks
{
    public function __construct(private ZoneGround $ground)
    {
    }

    /** @return list<array<string, mixed>> as the contract's GroundTask, in the order of their days */
    public function of(Zone $zone, Day $today, Day $from, Day $to): array
    {
        $here = $this->ground->growing($zone);
        $computation = Computation::currentOf($zone, null);
        if ($here === null || $computation?->ruler_hash === null || $computation->climate_hash === null) {
            return [];
        }
        $known = Results::read([$computation->ruler_hash, $computation->climate_hash]);
        $soil = $known[$computation->ruler_hash]['soil'];
        $maximum = $known[$computation->climate_hash]['normals']['maximum'];
        $tasks = [];
        foreach ($this->ground->beds($zone, $here, $today, $from, $to->plus(365)) as ['bed' => $bed, 'core' => $core, 'told' => $told]) {
            foreach ($told as $stay) {
                $candidate = $here->candidate($stay['crop'], $stay['variety'], Route::from($stay['route']));
                $isCover = $candidate?->crop->kind === Crop::COVER;
                // What stands already is made ready for; a cover is still to be cut.
                if ($candidate === null || ($stay['kind'] !== 'planned' && ! ($isCover && $stay['kind'] === 'under-way'))) {
                    continue;
                }
                $on = Day::fromIso($stay['from']);
                $up = Preparation::up($candidate->crop, $candidate->route, $on, $soil);
                $first = $candidate->days->firstHarvest($on) ?? $on->plus((int) $candidate->crop->growth->maturityDays);
                $own = $isCover
                    ? Preparation::ofCover($candidate->crop, $on, $stay['kind'] === 'planned' ? $up : null, $first, $core->nextAfter($on))
                    : Preparation::of($candidate->crop, $candidate->route, $on, $up, $first, $soil, $maximum);
                foreach ($own as $task) {
                    if (($task->to ?? $task->on)->number >= $from->number && $task->on->number <= $to->number) {
                        $tasks[] = [
                            'key' => $task->key,
                            'on' => $task->on->iso(),
                            'to' => $task->to?->iso(),
                            'bed' => $bed->told(),
                            'name' => $stay['name'],
                            'crop' => $stay['crop'],
                            'stay' => $stay['key'],
                            'for' => $stay['from'],
                        ];
                    }
                }
            }
        }
        usort($tasks, static fn (array $a, array $b): int => [$a['on'], $a['name'], $a['key']] <=> [$b['on'], $b['name'], $b['key']]);

        return $tasks;
    }
}
