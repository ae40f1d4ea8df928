<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What a crop gives as a cut flower. */
final readonly class CutFlower
{
    /**
     * @param  float  $stemsPerPlant  cut from one plant over its whole harvest
     * @param  bool  $branches  true: it gives stem after stem; false: one stem only
     * @param  int|null  $vaseDays  days a stem usually keeps in water; null: not known
     * @param  string|null  $cutAt  stage of cutting: `bud`, `first-petals`, `third-open`, `open`; null: not known
     */
    public function __construct(public float $stemsPerPlant, public bool $branches, public ?int $vaseDays, public ?string $cutAt)
    {
    }
}
