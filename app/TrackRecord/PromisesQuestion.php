<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Verification\CropPromises;
use App\Results\Question;
use App\Results\ResultKind;

/** Whether a crop's windows kept their promise, year by year. */
final readonly class PromisesQuestion implements Question
{
    public function __construct(private Crop $crop)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Promises;
    }

    public function inputs(): array
    {
        return [$this->crop->slug];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing($place->book->only($this->crop));
    }

    /** @return array<string, list<array<string, mixed>>> by confidence level */
    public function answer(Place $place): array
    {
        return CropPromises::of($place, $this->crop);
    }
}
