<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\SpareSeedlings;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use App\Results\Question;
use App\Results\ResultKind;

/** Which seedlings to raise beside a sowing on a day, in case it fails. */
final readonly class SparesQuestion implements Question
{
    public function __construct(private Site $site, private Crop $crop, private YearDay $sown)
    {
    }

    public function kind(): ResultKind
    {
        return ResultKind::Spares;
    }

    public function inputs(): array
    {
        return [$this->sown->iso()];
    }

    public function of(Place $place): Place
    {
        return $place->withoutSeason()->at($this->site)->growing(CropBook::of([$this->crop]));
    }

    /** @return array{spares: array<string, mixed>|null} null if it seldom fails, or they would not help */
    public function answer(Place $place): array
    {
        return ['spares' => SpareSeedlings::of($place, $this->crop, $this->sown)];
    }
}
