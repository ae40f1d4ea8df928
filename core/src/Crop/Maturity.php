<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use Anthesis\Words\Phrase;
use LogicException;

/**
 * How long a crop takes by each way of growing, whatever its packet days count from.
 *
 * "Raised" is the growth a seedling brings from indoors: 7 · weeks − emergence there − the transplant check.
 */
final readonly class Maturity
{
    /** Packet days are right at ref_c of the air; the soil is then about this much warmer, °C. */
    public const SOIL_ABOVE_AIR = 2.0;

    private const LEAST_JUVENILE = 5.0;

    private float $emergenceDays;

    private float $raisedDays;

    /** @throws LogicException if the crop's own table says it does not emerge where it is sown */
    public function __construct(private Crop $crop)
    {
        $this->emergenceDays = self::emergence($crop, $crop->growth->refC + self::SOIL_ABOVE_AIR);
        $this->raisedDays =
            $crop->underCover->weeks === null
                ? 0.0
                : max(
                    0.0,
                    7 * $crop->underCover->weeks->usual - self::emergence($crop, $crop->underCover->soilC) - $crop->underCover->checkDays,
                );
    }

    /** @return float growth-days from emergence, or from transplanting, to maturity; at least 1 */
    public function growthDays(Route $route): float
    {
        $direct = match ($this->crop->growth->maturityBasis) {
            MaturityBasis::Sowing => $this->crop->growth->maturityDays - $this->emergenceDays,
            MaturityBasis::Emergence => $this->crop->growth->maturityDays,
            MaturityBasis::Transplant => $this->crop->growth->maturityDays + $this->raisedDays,
        };

        return $route === Route::Direct ? $direct : max(1.0, $direct - $this->raisedDays);
    }

    /** @return float growth-days after which a day-length bulb is full-sized when bulbing starts; at least 5 if transplanted */
    public function juvenileDays(Route $route): float
    {
        $days = (float) $this->crop->bulb?->juvenileDays;

        return $route === Route::Direct ? $days : max(self::LEAST_JUVENILE, $days - $this->raisedDays);
    }

    /** @return float growth-days on long days by which a crop has bolted; at least 5 if transplanted */
    public function boltingDays(Route $route): float
    {
        $days = $this->crop->bolting->growthDays;

        return $route === Route::Direct ? $days : max(self::LEAST_JUVENILE, $days - $this->raisedDays);
    }

    /** @return float growth-days from emergence, or from transplanting, after which cold counts toward bolting; at least 0 */
    public function coldFromDays(Route $route): float
    {
        $days = $this->crop->bolting->coldFromGrowthDays;

        return $route === Route::Direct ? $days : max(0.0, $days - $this->raisedDays);
    }

    /** @return float days from direct sowing, or from transplanting, to first harvest, in weather at which packet days are right */
    public function days(Route $route): float
    {
        return $this->growthDays($route) + ($route === Route::Direct ? $this->emergenceDays : 0.0);
    }

    /** How the days of a way of growing follow from the packet, for a derivation. */
    public function phrase(Route $route): Phrase
    {
        $growth = $this->crop->growth;
        $direct = $route === Route::Direct;

        return Phrase::of(
            'maturity.'.
                match (true) {
                    $direct && $growth->maturityBasis === MaturityBasis::Sowing,
                    ! $direct && $growth->maturityBasis === MaturityBasis::Transplant => 'packet',
                    $direct && $growth->maturityBasis === MaturityBasis::Emergence => 'and-emergence',
                    $direct => 'and-under-cover',
                    $growth->maturityBasis === MaturityBasis::Sowing => 'less-under-cover-from-sowing',
                    default => 'less-under-cover',
                },
            [
                'days' => (int) round($growth->maturityDays),
                'basis' => $growth->maturityBasis->value,
                'emergence' => (int) round($this->emergenceDays),
                'raised' => (int) round($this->raisedDays),
            ],
        );
    }

    private static function emergence(Crop $crop, float $soil): float
    {
        return $crop->emergence->daysAt($soil) ??
            throw new LogicException(
                "{$crop->name} does not emerge at {$soil} °C; its emergence table says otherwise than its temperatures.",
            );
    }
}
