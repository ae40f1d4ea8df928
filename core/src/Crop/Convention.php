<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** The rules of thumb of growers who count back from the frost. */
final readonly class Convention
{
    /**
     * @param  float|null  $soilMinSowC  soil temperature needed before sowing outdoors, °C
     * @param  float|null  $soilMinSetOutC  the same before transplanting
     * @param  float|null  $springSowWeeks  weeks after (negative: before) the average last freeze; null: not done in spring
     * @param  int|null  $successionDays  null: one sowing
     */
    public function __construct(
        public ?float $soilMinSowC,
        public ?float $soilMinSetOutC,
        public ?float $springSowWeeks,
        public ?float $springSetOutWeeks,
        public ?int $successionDays,
    ) {
    }
}
