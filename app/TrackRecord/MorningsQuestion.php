<?php

declare(strict_types=1);

namespace App\TrackRecord;

use Anthesis\Crop\Crop;
use Anthesis\Place\Place;
use Anthesis\Verification\SeasonMornings;
use App\Results\Question;
use App\Results\ResultKind;

/** What this season's counts would have said about every crop on the mornings of a past year, and the outcome. */
final readonly class MorningsQuestion implements Question
{
    public function __construct(private int $year)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Mornings;
    }

    public function inputs(): array
    {
        return [$this->year];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($place->site());
    }

    /** @return array<string, list<array<string, mixed>>> as SeasonMornings */
    public function answer(Place $place): array
    {
        return SeasonMornings::ofYear($place, self::promising($place), $this->year);
    }

    /** @return list<Crop> cover crops promise no harvest, so they are left out */
    private static function promising(Place $place): array
    {
        return array_values(array_filter($place->book->crops(), static fn (Crop $crop): bool => $crop->kind !== Crop::COVER));
    }
}
