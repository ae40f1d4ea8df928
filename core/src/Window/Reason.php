<?php

declare(strict_types=1);

namespace Anthesis\Window;

/** Why a day lies outside every window when counting back or, in a replay, when it waits for its ground; `reason.<value>` in words. */
enum Reason: string
{
    case FreezeToCome = 'freeze-to-come';
    case ColdSoil = 'cold-soil';
    case Heat = 'heat';
    case TooLate = 'too-late';
    case NotYetPlantingTime = 'not-yet-planting-time';
    /** The years allow it, but the normal soil does not. */
    case SoilBelowMinimum = 'soil-below-minimum';
    /** The years allow it, but the zone waits until the ground can be worked. */
    case WetGround = 'wet-ground';
}
