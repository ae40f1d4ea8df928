<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Crop\CropBook;
use Anthesis\Place\Place;
use Anthesis\Window\PlaceEvidence;

/** The climate sheet of a place. */
final readonly class ClimateQuestion implements Question
{
    /** @param  list<float>  $soils  °C, the temperatures to date, ascending */
    private function __construct(private array $soils)
    {
    }

    /** For a place, with the soil temperatures its crops need. */
    public static function for(Place $place): self
    {
        return new self(ClimateSheet::soilTemperatures($place->book->crops()));
    }

    public function kind(): ResultKind
    {
        return ResultKind::Climate;
    }

    public function inputs(): array
    {
        return $this->soils;
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->growing(CropBook::none());
    }

    public function answer(Place $place): array
    {
        return ClimateSheet::of($place->years->days(), PlaceEvidence::ofPlace($place), $this->soils, $place->sites);
    }
}
