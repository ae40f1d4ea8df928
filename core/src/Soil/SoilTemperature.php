<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Climate\Normals;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Sun\Radiation;

/**
 * Daily mean soil temperature at a site, modeled from air temperature and sun.
 *
 * After Kang, S. et al. (2000), Predicting spatial and temporal patterns of soil temperature based on topography, surface cover and air
 * temperature, Forest Ecology and Management 136, 173–184: each day the soil moves a share r of the way toward air plus sun. r is 0.3 of
 * itself while the soil is frozen or under snow (soil ≤ 0.5 °C and air below 0 °C). Where a snow depth d is on record, the soil beneath
 * moves e^(−d/10) of that, and is pulled by 0.05·(1 − e^(−d/10)) per day toward 0.5 °C.
 */
final readonly class SoilTemperature
{
    private const DAY_SECONDS = 86400;

    private const FROZEN_AT = 0.5;

    private const FROZEN_SHARE = 0.3;

    private const START_DAYS = 10;

    /** Depth of snow at which the air's pull falls to 1/e, cm. */
    private const SNOW_DEPTH = 10.0;

    /** Share per day by which soil under deep snow is pulled to the temperature the ground keeps it at. */
    private const FROM_BELOW = 0.05;

    private const HELD_AT = 0.5;

    /** @param  list<float|null>  $dailyMean °C, day i of the record; null if the air temperature is not known */
    private function __construct(public Day $first, public array $dailyMean)
    {
    }

    /** @param  DailyRecord  $record every gap is crossed on a straight line, so the soil always has a past; for replays see Gap */
    public static function of(DailyRecord $record, Latitude $latitude, Site $site): self
    {
        $bridged = $record->bridged(PHP_INT_MAX);
        $sun = array_map(static fn (float $ra): float => ($site->sun * $ra) / 40, Radiation::throughTheYear($latitude));
        $rate = min(0.95, $site->rate * exp(-$site->depth * sqrt(M_PI / ($site->diffusivity * self::DAY_SECONDS))));

        $air = [];
        foreach ($bridged->minimum as $i => $minimum) {
            $maximum = $bridged->maximum[$i];
            $air[] = $minimum === null || $maximum === null ? null : ($minimum + $maximum) / 2 + $site->air;
        }
        $yearDays = $record->first->yearDays(count($air));
        $soil = null;
        $means = [];
        foreach ($air as $i => $mean) {
            if ($mean === null) {
                $means[] = $soil = null;

                continue;
            }
            $before = $soil ?? self::startFrom($air, $i);
            $share = $before <= self::FROZEN_AT && $mean < 0.0 ? $rate * self::FROZEN_SHARE : $rate;
            $under = 0.0;
            $snow = $record->snow[$i] ?? 0.0;
            if ($snow > 0.0) {
                $through = exp(-$snow / self::SNOW_DEPTH);
                $share *= $through;
                $under = self::FROM_BELOW * (1 - $through) * (self::HELD_AT - $before);
            }
            $soil = $before + $share * ($mean + $sun[$yearDays[$i] - 1] - $before) + $under;
            $means[] = $soil + $site->offset;
        }

        return new self($record->first, $means);
    }

    public function normals(): Normals
    {
        return Normals::of($this->first, $this->dailyMean);
    }

    /**
     * @param  list<float|null>  $air
     * @return float mean of the first ten known days from $i on, °C
     */
    private static function startFrom(array $air, int $i): float
    {
        $known = array_filter(array_slice($air, $i, self::START_DAYS), static fn (?float $a): bool => $a !== null);

        return array_sum($known) / count($known);
    }
}
