<?php

declare(strict_types=1);

namespace Anthesis\Window;

/** Why a day lies outside every window when counting back. */
enum Reason: string
{
    case FreezeToCome = 'freeze-to-come';
    case ColdSoil = 'cold-soil';
    case Heat = 'heat';
    case TooLate = 'too-late';
    case NotYetPlantingTime = 'not-yet-planting-time';

    public function inWords(): string
    {
        return match ($this) {
            self::FreezeToCome => 'a freeze is still to come',
            self::ColdSoil => 'the soil is too cold',
            self::Heat => 'it would ripen in the heat',
            self::TooLate => 'too late to finish before the freeze',
            self::NotYetPlantingTime => 'not the time to plant it',
        };
    }
}
