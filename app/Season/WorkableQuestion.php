<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\WorkableSheet;
use Anthesis\Crop\CropBook;
use Anthesis\Place\Place;
use App\Results\Question;
use App\Results\ResultKind;

/** Whether ground can be worked today, and when it likely can. */
final readonly class WorkableQuestion implements Question
{
    public function kind(): ResultKind
    {
        return ResultKind::Workable;
    }

    public function inputs(): array
    {
        return [];
    }

    public function of(Place $place): Place
    {
        return $place->at($place->site())->growing(CropBook::none());
    }

    /** @return array{workable: array<string, mixed>|null} null without recent rain on record */
    public function answer(Place $place): array
    {
        return ['workable' => WorkableSheet::of($place)];
    }
}
