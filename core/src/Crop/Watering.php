<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What a crop needs from the water in its ground; after FAO Irrigation and Drainage Paper 56, tables 12 and 22, rounded. */
final readonly class Watering
{
    private const ROOT_CM = 50.0;

    private const DEPLETION = 0.4;

    /**
     * @param  string|null  $thirst  how much water it takes, compared with other crops: `low`, `usual`, `high`; null: not known
     * @param  float|null  $rootCm  depth of its roots when grown; null: like most crops
     * @param  float|null  $depletionShare  share of the water within reach of its roots that may be used before it suffers; null: like most
     *   crops
     * @param  float|null  $lateFactor  in reference evapotranspirations, at the end of its harvest; null: the same as in mid season
     */
    public function __construct(
        public ?string $thirst = null,
        public ?float $rootCm = null,
        public ?float $depletionShare = null,
        public ?float $lateFactor = null,
    ) {
    }

    /** @return float m */
    public function rootDepth(): float
    {
        return ($this->rootCm ?? self::ROOT_CM) / 100;
    }

    public function depletion(): float
    {
        return $this->depletionShare ?? self::DEPLETION;
    }
}
