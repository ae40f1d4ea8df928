<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How a crop is sown, and how much seed that takes. */
final readonly class Seed
{
    /**
     * @param  int  $perStation  seeds, or sets, put in each place where plants are to grow
     * @param  int  $thinnedTo  plants left there
     * @param  float|null  $germination  share of good seed that comes up, 0…1; null: not counted in seeds
     * @param  float|null  $perGram  seeds per gram; null: not weighed
     */
    public function __construct(public int $perStation, public int $thinnedTo, public ?float $germination, public ?float $perGram)
    {
    }
}
