<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;

/**
 * Every simulated season of a crop, arranged by year and sow day so that moving the cursor only reads arrays.
 *
 * `outcomes` names those that occur. A year's `outcome` has the index of its outcome for each sow day (i+1), or −1 if no season counts.
 * `up`, `harvest`, and `end` are days from sowing to emergence, first harvest, and the end, −1 if there is none.
 *
 * @phpstan-type YearRuns array{year: int, outcome: list<int>, up: list<int>, harvest: list<int>, end: list<int>}
 */
final class CropRuns
{
    /** @return array{route: string, outcomes: list<string>, years: list<YearRuns>} */
    public static function of(Place $place, Crop $crop, Route $route): array
    {
        $none = array_fill(0, YearDay::YEAR, -1);
        $outcomes = $years = [];
        foreach (Replay::ofPlace($place)->runs($crop, $route)->all() as $run) {
            [$year] = Day::civil($run->sown->number);
            $years[$year] ??= ['outcome' => $none, 'up' => $none, 'harvest' => $none, 'end' => $none];
            $at = $run->sown->yearDay()->number - 1;
            $outcomes[$run->outcome->value] ??= count($outcomes);
            $years[$year]['outcome'][$at] = $outcomes[$run->outcome->value];
            $years[$year]['up'][$at] = $run->up === null ? -1 : $run->up->number - $run->sown->number;
            $years[$year]['harvest'][$at] = $run->daysToHarvest ?? -1;
            $years[$year]['end'][$at] = $run->ended->number - $run->sown->number;
        }

        return [
            'route' => $route->value,
            'outcomes' => array_keys($outcomes),
            'years' => array_map(
                static fn (int $year, array $runs): array => [
                    'year' => $year,
                    'outcome' => array_values($runs['outcome']),
                    'up' => array_values($runs['up']),
                    'harvest' => array_values($runs['harvest']),
                    'end' => array_values($runs['end']),
                ],
                array_keys($years),
                array_values($years),
            ),
        ];
    }
}
