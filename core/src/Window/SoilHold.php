<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Climate\Normals;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;

/**
 * Days on which a crop waits for its ground: the normal soil is still, or again, below the minimum for sowing or transplanting it, or the
 * ground cannot be worked yet, if a zone waits for that. Growers go by the thermometer; the replay alone would let warm-season crops out at
 * two to four degrees too little.
 */
final readonly class SoilHold
{
    /**
     * @param  float|null  $minimumC  the soil temperature the crop waits for; null: it never has to
     * @param  list<bool>  $days  length 365, whether sow day i+1 has to wait
     * @param  list<bool>  $cold  those of them that wait for the soil's temperature
     */
    private function __construct(public ?float $minimumC, public array $days, private array $cold)
    {
    }

    /**
     * @param  Normals|null  $soil  at the site, °C; null: not known
     * @return self|null null if nothing has to wait: no minimum is given, the planting stock decides, the soil is warm enough all year, or
     *   its temperature is not known
     */
    public static function of(?Normals $soil, Crop $crop, Route $route): ?self
    {
        $minimum = $crop->soilMinimum($route);
        if ($soil === null || $minimum === null || $crop->stock !== null) {
            return null;
        }
        $days = array_map(static fn (float $celsius): bool => $celsius < $minimum - Tolerance::SUMS, $soil->values);

        return in_array(true, $days, true) ? new self($minimum, $days, $days) : null;
    }

    /**
     * @param  self|null  $cold  null: nothing waits for the soil's temperature
     * @param  list<bool>|null  $wet  length 365, whether sow day i+1 waits for workable ground; null: none does
     */
    public static function orWet(?self $cold, ?array $wet): ?self
    {
        if ($wet === null || ! in_array(true, $wet, true)) {
            return $cold;
        }

        return $cold === null
            ? new self(null, $wet, array_fill(0, YearDay::YEAR, false))
            : new self($cold->minimumC, array_map(static fn (bool $a, bool $b): bool => $a || $b, $cold->days, $wet), $cold->cold);
    }

    /** What a day is waiting for. A soil that is too cold comes first, because the crop has no choice about it. */
    public function reason(YearDay $day): Reason
    {
        return $this->cold[$day->number - 1] ? Reason::SoilBelowMinimum : Reason::WetGround;
    }

    public function holds(YearDay $day): bool
    {
        return $this->days[$day->number - 1];
    }
}
