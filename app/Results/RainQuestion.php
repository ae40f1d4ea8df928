<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\RainSheet;
use Anthesis\Crop\CropBook;
use Anthesis\Place\Place;
use Anthesis\Window\ProofStandard;

/** The water of a place: rain, snow, and when its ground can be worked. */
final readonly class RainQuestion implements Question
{
    public function __construct(private ProofStandard $standard)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Rain;
    }

    public function inputs(): array
    {
        return [$this->standard->value];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site())->growing(CropBook::none());
    }

    /** @return array{rain: array<string, mixed>|null} null without rain on record */
    public function answer(Place $place): array
    {
        return ['rain' => RainSheet::of($place->years->days(), $place->latitude, $this->standard->share())];
    }
}
