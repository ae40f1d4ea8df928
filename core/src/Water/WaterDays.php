<?php

declare(strict_types=1);

namespace Anthesis\Water;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Sun\Radiation;

/**
 * The water of a record, day by day: what the air could take, what reached the ground, what lay as snow, and the soil of open ground.
 *
 * Day i of each list is the i-th of the record. Gaps in the temperatures are crossed on a straight line so sums run on; days in a gap
 * longer than ten days are not reported. A day without precipitation on record counts as dry.
 *
 * Reference evapotranspiration: Hargreaves and Samani 1985 (FAO Irrigation and Drainage Paper 56, equation 52).
 */
final readonly class WaterDays
{
    /** At or below this daily mean, °C, precipitation falls as snow. */
    private const SNOW_BELOW = 1.0;

    /** mm of snow that melt in a day per degree of its mean above freezing. */
    private const MELT = 3.0;

    /** mm of water that one MJ of radiation evaporates per m². */
    private const EVAPORATED = 0.408;

    /**
     * @param  list<float>  $et0  reference evapotranspiration, mm
     * @param  list<float>  $reaching  rain and melted snow that reached the ground, mm
     * @param  list<float>  $pack  water in the snowpack in the evening, from precipitation alone, mm
     * @param  list<float>  $soil  of open ground at 5 cm, °C
     * @param  list<bool>  $covered  whether there is snow, in the pack or as measured
     * @param  list<bool>  $isTold  whether the temperatures are on record, with short gaps bridged
     * @param  list<int>  $dryMissing  sum of days before without precipitation on record; days + 1 long
     */
    private function __construct(
        public Day $first,
        public array $et0,
        public array $reaching,
        public array $pack,
        public array $soil,
        public array $covered,
        public array $isTold,
        private array $dryMissing,
    ) {
    }

    public static function of(DailyRecord $record, Latitude $latitude): self
    {
        $whole = $record->bridged(PHP_INT_MAX);
        $short = $record->bridged();
        $soil = SoilTemperature::of($record, $latitude, Site::openGround())->dailyMean;
        $radiation = Radiation::throughTheYear($latitude);
        $yearDays = $record->first->yearDays(count($whole->minimum));
        $et0 = $reaching = $packs = $covered = $isTold = [];
        $missing = [0];
        $pack = 0.0;
        $unknown = 0;
        foreach ($whole->minimum as $i => $minimum) {
            $maximum = $whole->maximum[$i];
            $isTold[] = $short->minimum[$i] !== null && $short->maximum[$i] !== null;
            $rain = $record->rain[$i] ?? null;
            $missing[] = $unknown += $rain === null ? 1 : 0;
            // Nothing is known about the days before the first temperature and after the last.
            $mean = $minimum === null || $maximum === null ? null : ($minimum + $maximum) / 2;
            $water = $rain ?? 0.0;
            if ($mean !== null && $mean <= self::SNOW_BELOW) {
                $pack += $water;
                $water = 0.0;
            }
            $melted = min($pack, self::MELT * max(0.0, $mean ?? 0.0));
            $pack -= $melted;
            $packs[] = $pack;
            $reaching[] = $water + $melted;
            $covered[] = $pack > 0.0 || ($record->snow[$i] ?? 0.0) > 0.0;
            $ra = $radiation[$yearDays[$i] - 1];
            $et0[] =
                $mean === null
                    ? 0.0
                    : max(0.0, 0.0023 * ($mean + 17.8) * sqrt(max(0.0, $maximum - $minimum)) * self::EVAPORATED * $ra);
        }

        return new self(
            $record->first,
            $et0,
            $reaching,
            $packs,
            array_map(static fn (?float $celsius): float => $celsius ?? 0.0, $soil),
            $covered,
            $isTold,
            $missing,
        );
    }

    public function days(): int
    {
        return count($this->et0);
    }

    /** Whether precipitation is on record for nine of ten days of a span, both ends included. */
    public function knowsRain(int $from, int $to): bool
    {
        return 10 * ($this->dryMissing[$to + 1] - $this->dryMissing[$from]) <= $to - $from + 1;
    }
}
