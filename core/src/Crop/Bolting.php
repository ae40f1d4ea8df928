<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use JsonSerializable;

/** What makes a crop bolt. */
final readonly class Bolting implements JsonSerializable
{
    /**
     * @param  int|null  $chillDays  cold days, after which lengthening days make it bolt; null: they do not
     * @param  float|null  $dayHours  length of the days that make it bolt on their own; null: none does
     * @param  float  $growthDays  growth-days on such days, counted from emergence, by which it has bolted
     * @param  float  $coldFromGrowthDays  growth-days from emergence after which cold days count: smaller plants do not respond to cold
     */
    public function __construct(
        public ?int $chillDays,
        public ?float $dayHours = null,
        public float $growthDays = 0.0,
        public float $coldFromGrowthDays = 0.0,
    ) {
    }

    /** @return array<mixed> for fingerprints: a crop without a minimum size keeps the fingerprint it had before there was such a number */
    public function jsonSerialize(): array
    {
        return array_diff_key(get_object_vars($this), $this->coldFromGrowthDays > 0.0 ? [] : ['coldFromGrowthDays' => true]);
    }
}
