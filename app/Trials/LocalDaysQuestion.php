<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Replay\SeasonTables;
use Anthesis\Soil\Site;
use Anthesis\Trial\LocalDays;
use Anthesis\Trial\ObservedSowing;
use App\Results\Question;
use App\Results\ResultKind;

/** The days to maturity of a crop, from plantings seen at a place. */
final readonly class LocalDaysQuestion implements Question
{
    /** @param  list<array{site: Site, on: string, up: string|null, picked: string}>  $sowings  dates as YYYY-MM-DD */
    public function __construct(private Crop $crop, private Route $route, private array $sowings)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::LocalDays;
    }

    public function inputs(): array
    {
        return [$this->route->value, $this->sowings];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing(CropBook::of([$this->crop]));
    }

    public function answer(Place $place): array
    {
        $seen = [];
        foreach ($this->sowings as $sowing) {
            $at = $place->at($sowing['site']);
            $tables = $at->once(
                SeasonTables::class,
                static fn (): SeasonTables => new SeasonTables($at->whole->days(), $at->latitude, $at->site()),
            );
            $up = $this->route === Route::Direct && $sowing['up'] !== null ? Day::fromIso($sowing['up']) : null;
            $seen[] = [$tables, new ObservedSowing(Day::fromIso($sowing['on']), $up, Day::fromIso($sowing['picked']))];
        }
        $told = LocalDays::of($this->crop, $this->route, $place->light, $seen);

        return [
            'told' => $told === null
                    ? null
                    : [
                        'packet_days' => $this->crop->growth->maturityDays,
                        'days' => round($told->days, 1),
                        'factor' => round($told->factor, 4),
                        'sowings' => count($told->shares),
                        'shares' => array_map(static fn (float $q): float => round($q, 3), $told->shares),
                        'error_before' => $told->errorBefore === null ? null : round($told->errorBefore, 1),
                        'error_after' => $told->errorAfter === null ? null : round($told->errorAfter, 1),
                    ],
        ];
    }
}
