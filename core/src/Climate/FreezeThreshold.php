<?php

declare(strict_types=1);

namespace Anthesis\Climate;

/** Screen minima at or below which a day counts as a freeze; `threshold.<value>` in words. */
enum FreezeThreshold: string
{
    case FrostPossible = 'frost-possible';
    case LightFreeze = 'light-freeze';
    case KillingFreeze = 'killing-freeze';
    case SevereFreeze = 'severe-freeze';

    /** °C */
    public function celsius(): float
    {
        return match ($this) {
            self::FrostPossible => 2.2,
            self::LightFreeze => 0.0,
            self::KillingFreeze => -2.2,
            self::SevereFreeze => -4.4,
        };
    }
}
