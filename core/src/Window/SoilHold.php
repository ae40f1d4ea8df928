<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Climate\Normals;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;

/**
 * Days on which a crop waits for its ground: the normal soil is still, or again, below the minimum it is sown or set out at, or, where a
 * zone asks for that, the ground cannot be worked yet. Growers go by the thermometer; the replay alone lets warm crops out two to four
 * degrees too early.
 */
final readonly class SoilHold
{
    /**
     * @param  float|null  $minimumC  the soil the crop waits for; null: it never has to
     * @param  list<bool>  $days  length 365, whether sow day i+1 is held
     * @param  list<bool>  $cold  of them, those held for the soil's temperature
     */
    private function __construct(public ?float $minimumC, public array $days, private array $cold)
    {
    }

    /**
     * @param  Normals|null  $soil  at the site, °C; null: not known
     * @return self|null null where nothing is held: no minimum is given, the planting stock decides, the soil is warm enough all year, or
     *     not known
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
     * @param  list<bool>|null  $wet  length 365, whether sow day i+1 waits for ground that can be worked; null: none does
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

    /** What a day that is held waits for; a soil that is too cold comes first, because the crop has no choice in it. */
    public function reason(YearDay $day): Reason
    {
        return $this->cold[$day->number - 1] ? Reason::SoilBelowMinimum : Reason::WetGround;
    }

    public function holds(YearDay $day): bool
    {
        return $this->days[$day->number - 1];
    }
}
