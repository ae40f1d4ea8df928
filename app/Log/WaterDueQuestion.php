<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Calendar\WaterDueSheet;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use App\Results\Question;
use App\Results\ResultKind;

/** When a growing planting needs water, given the waterings and the rain in the log. */
final readonly class WaterDueQuestion implements Question
{
    /**
     * @param  Site  $site  where it grows
     * @param  Day  $on  day of sowing, or of transplanting
     * @param  Day|null  $up  null: not seen
     * @param  array<string, float|null>  $given  as WaterDueSheet::of takes them
     * @param  array<string, float>  $gauge  as WaterDueSheet::of takes them
     */
    public function __construct(
        private Site $site,
        private Crop $crop,
        private Route $route,
        private Day $on,
        private ?Day $up,
        private array $given,
        private array $gauge,
    ) {
    }

    public function kind(): ResultKind
    {
        return ResultKind::WaterDue;
    }

    public function inputs(): array
    {
        return [$this->route->value, $this->on->iso(), $this->up?->iso(), $this->given, $this->gauge];
    }

    public function of(Place $place): Place
    {
        return $place->at($this->site)->growing(CropBook::of([$this->crop]));
    }

    /** @return array{water: array<string, mixed>|null} null without recent rain on record */
    public function answer(Place $place): array
    {
        return [
            'water' => WaterDueSheet::of(
                $place,
                $this->crop,
                $this->route,
                Ground::named($this->site->ground),
                $this->on,
                $this->up,
                $this->given,
                $this->gauge,
            ),
        ];
    }
}
