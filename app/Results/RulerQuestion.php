<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\YearRuler;
use Anthesis\Crop\CropBook;
use Anthesis\Place\Place;
use Anthesis\Window\PlaceEvidence;

/** The year ruler of a place. */
final readonly class RulerQuestion implements Question
{
    public function kind(): ResultKind
    {
        return ResultKind::Ruler;
    }

    public function inputs(): array
    {
        return [];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing(CropBook::none());
    }

    public function answer(Place $place): array
    {
        return YearRuler::of($place->years->days(), PlaceEvidence::ofPlace($place));
    }
}
