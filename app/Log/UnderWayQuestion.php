<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use Anthesis\Season\UnderWay;
use Anthesis\Soil\Site;
use App\Results\Question;
use App\Results\ResultKind;

/** How the season continues for a planting, from what was seen of it. */
final readonly class UnderWayQuestion implements Question
{
    /**
     * @param  Site  $site  where it grows
     * @param  array{on: Day, underCover: bool, up: Day|null, thinned: bool, picked: bool}  $seen  as UnderWay::of takes them
     */
    public function __construct(private Site $site, private Crop $crop, private Route $route, private array $seen)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::UnderWay;
    }

    public function inputs(): array
    {
        return [
            $this->route->value,
            array_map(static fn (Day|bool|null $seen): string|bool|null => $seen instanceof Day ? $seen->iso() : $seen, $this->seen),
        ];
    }

    public function of(Place $place): Place
    {
        return $place->at($this->site)->growing(CropBook::of([$this->crop]));
    }

    public function answer(Place $place): array
    {
        $season = ThisSeason::ofPlace($place);
        $way = UnderWay::of($season, $this->crop, $this->route, ...$this->seen);
        $dates = static fn (?array $days): ?array => $days === null ? null : array_map(static fn (Day $d): string => $d->iso(), $days);

        return [
            'up' => $dates($way->up),
            'set_out' => $way->setOut?->iso(),
            'thin' => $way->thin?->iso(),
            'first_pick' => $dates($way->firstPick),
            'harvests' => $way->harvests,
            'cold' => $way->cold,
            'of' => $way->of,
            'loss' => $way->loss?->value,
            'members' => count($season->members),
        ];
    }
}
