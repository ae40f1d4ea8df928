<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Climate\Normals;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;

/**
 * Days on which a crop waits for its ground: the normal soil is still, or again, below the minimum it is sown or set out at. Growers go
 * by the thermometer; the replay alone lets warm crops out two to four degrees too early.
 */
final readonly class SoilHold
{
    /** @param  list<bool>  $days  length 365, whether sow day i+1 is held */
    private function __construct(public float $minimumC, public array $days)
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

        return in_array(true, $days, true) ? new self($minimum, $days) : null;
    }

    public function holds(YearDay $day): bool
    {
        return $this->days[$day->number - 1];
    }
}
