<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Crop\Bolting;
use Anthesis\Crop\Bulb;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Hardiness;

/** A rule that the second edition of the method brought. Each can be left out, to see what it moves. */
enum MethodRule: string
{
    case PlantingStock = 'planting-stock';
    case FrozenGround = 'frozen-ground';
    case LongDayBolting = 'long-day-bolting';
    case BulbWarmth = 'bulb-warmth';
    case HardyBySoil = 'hardy-by-soil';

    /**
     * @return Crop the crop as the first edition, which did not know the rule, would have grown it; frozen ground is the replay's
     *   affair
     */
    public function leftOutOf(Crop $crop): Crop
    {
        $hardiness = $crop->hardiness;

        return match ($this) {
            self::PlantingStock => $crop->with(stock: null),
            self::FrozenGround => $crop,
            self::LongDayBolting => $crop->with(bolting: new Bolting($crop->bolting->chillDays)),
            self::BulbWarmth => $crop->bulb === null
                ? $crop
                : $crop->with(bulb: new Bulb($crop->bulb->criticalDayHours, $crop->bulb->juvenileDays)),
            self::HardyBySoil => $crop->with(hardiness: new Hardiness($hardiness->killYoungC, $hardiness->killC, $hardiness->youngShare)),
        };
    }
}
