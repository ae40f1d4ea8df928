<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Crop\Bolting;
use Anthesis\Crop\Bulb;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Hardiness;
use Anthesis\Crop\HeatLimit;

/** A rule that an edition of the method added. Each can be left out, to see what it changes. */
enum MethodRule: string
{
    case PlantingStock = 'planting-stock';
    case FrozenGround = 'frozen-ground';
    case LongDayBolting = 'long-day-bolting';
    case BulbWarmth = 'bulb-warmth';
    case HardyBySoil = 'hardy-by-soil';
    case FruitSet = 'fruit-set';
    case YoungHeat = 'young-heat';
    case SizeBeforeCold = 'size-before-cold';
    case Snow = 'snow';
    case SoilHold = 'soil-hold';
    case Printed = 'printed';

    /** @return int the edition of the method that added it */
    public function edition(): int
    {
        return match ($this) {
            self::PlantingStock, self::FrozenGround, self::LongDayBolting, self::BulbWarmth, self::HardyBySoil => 2,
            self::FruitSet, self::YoungHeat, self::SizeBeforeCold, self::Snow, self::SoilHold, self::Printed => 3,
        };
    }

    /** @return list<self> those added after an edition */
    public static function since(int $edition): array
    {
        return array_values(array_filter(self::cases(), static fn (self $rule): bool => $rule->edition() > $edition));
    }

    /**
     * @return Crop the crop as it was grown before the rule was known; frozen ground and snow are handled by the replay, waiting for soil
     *   and joining for print by the windows
     */
    public function leftOutOf(Crop $crop): Crop
    {
        [$hardiness, $heat, $bolting] = [$crop->hardiness, $crop->heat, $crop->bolting];

        return match ($this) {
            self::PlantingStock => $crop->with(stock: null),
            self::FrozenGround, self::Snow, self::SoilHold, self::Printed => $crop,
            self::FruitSet => $crop->with(fruitSet: null),
            self::YoungHeat => $crop->with(heat: new HeatLimit($heat->maximumC, $heat->days, $heat->fromShare)),
            self::SizeBeforeCold => $crop->with(
                bolting: new Bolting($bolting->chillDays, $bolting->dayHours, $bolting->growthDays),
            ),
            self::LongDayBolting => $crop->with(
                bolting: new Bolting($bolting->chillDays, coldFromGrowthDays: $bolting->coldFromGrowthDays),
            ),
            self::BulbWarmth => $crop->bulb === null
                ? $crop
                : $crop->with(bulb: new Bulb($crop->bulb->criticalDayHours, $crop->bulb->juvenileDays)),
            self::HardyBySoil => $crop->with(
                hardiness: new Hardiness($hardiness->killYoungC, $hardiness->killC, $hardiness->youngShare),
            ),
        };
    }
}
