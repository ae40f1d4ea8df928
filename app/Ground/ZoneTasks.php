<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Ground\Bed;
use Anthesis\Ground\Candidate;
use Anthesis\Ground\Preparation;
use Anthesis\Ground\StandingKind;
use Anthesis\Ground\Task;
use Anthesis\Record\Day;
use App\Log\Bed as LoggedBed;
use App\Results\Results;
use App\Zones\Computation;
use App\Zones\Zone;

/**
 * What has to be done for what is planned, day by day, with the reason.
 *
 * @phpstan-import-type Told from ZoneGround
 */
final readonly class ZoneTasks
{
    public function __construct(private ZoneGround $ground, private PlantingSpares $spares)
    {
    }

    /** @return list<array<string, mixed>> as the contract's GroundTask, in order of their days */
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
        $waiting = $this->spares->waiting($zone, $today);
        $tasks = [];
        foreach ($this->ground->beds($zone, $here, $today, $from, $to->plus(365)) as ['bed' => $bed, 'core' => $core, 'told' => $told]) {
            foreach ($told as $stay) {
                $candidate = $here->candidate($stay['crop'], $stay['variety'], Route::from($stay['route']));
                if ($candidate === null) {
                    continue;
                }
                $own = self::ofStay($stay, $candidate, $core, $soil, $maximum);
                $spares = 0;
                if ($stay['spares']) {
                    $rows = $stay['need']['rows'] ?? ZoneGround::rows($candidate->crop, $bed);
                    $spares = PlantingSpares::plants($candidate->crop, $stay['metres'], $rows);
                    array_push($own, ...$this->ofSpares($zone, $bed, $stay, $candidate, $waiting));
                }
                foreach ($own as $task) {
                    if (($task->to ?? $task->on)->number >= $from->number && $task->on->number <= $to->number) {
                        $tasks[] = self::told($task, $bed, $stay, $spares);
                    }
                }
            }
        }
        usort($tasks, static fn (array $a, array $b): int => [$a['on'], $a['name'], $a['key']] <=> [$b['on'], $b['name'], $b['key']]);

        return $tasks;
    }

    /**
     * @param  array<string, mixed>  $stay
     * @return array<string, mixed>
     */
    private static function told(Task $task, LoggedBed $bed, array $stay, int $spares): array
    {
        return [
            'key' => $task->key,
            'on' => $task->on->iso(),
            'to' => $task->to?->iso(),
            'bed' => $bed->told(),
            'name' => $stay['name'],
            'crop' => $stay['crop'],
            'stay' => $stay['key'],
            'for' => $stay['from'],
            'plants' => str_starts_with($task->key, 'spares-') ? $spares : null,
        ];
    }

    /**
     * What is already growing was prepared for; a cover crop still has to be cut.
     *
     * @param  Told  $stay
     * @param  list<float>  $soil
     * @param  list<float>  $maximum
     * @return list<Task>
     */
    private static function ofStay(array $stay, Candidate $candidate, Bed $bed, array $soil, array $maximum): array
    {
        $isPlanned = $stay['kind'] === StandingKind::Planned->value;
        $isCover = $candidate->crop->kind === Crop::COVER;
        if (! $isPlanned && ! ($isCover && $stay['kind'] === StandingKind::UnderWay->value)) {
            return [];
        }
        $on = Day::fromIso($stay['from']);
        $up = Preparation::up($candidate->crop, $candidate->route, $on, $soil);
        $first = $candidate->days->firstHarvest($on) ?? $on->plus((int) $candidate->crop->growth->maturityDays);

        return $isCover
            ? Preparation::ofCover($candidate->crop, $on, $isPlanned ? $up : null, $first, $bed->nextAfter($on))
            : Preparation::of($candidate->crop, $candidate->route, $on, $up, $first, $soil, $maximum);
    }

    /**
     * @param  Told  $stay
     * @param  list<array{string, Day}>  $waiting
     * @return list<Task> those that were started already need not be started
     */
    private function ofSpares(Zone $zone, LoggedBed $bed, array $stay, Candidate $candidate, array $waiting): array
    {
        if (! in_array($stay['kind'], [StandingKind::Planned->value, StandingKind::UnderWay->value], true)) {
            return [];
        }
        $raised = $this->spares->of($zone, $bed, $candidate->crop, $candidate->route, Day::fromIso($stay['from']));
        $tasks = $raised === null ? [] : Preparation::ofSpares($raised);

        return $raised !== null && PlantingSpares::areStarted($waiting, $stay['crop'], $raised['start']) ? array_slice($tasks, 1) : $tasks;
    }
}
