<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** Why a value is kept but not used. */
enum QualityRule: string
{
    case MaximumBelowMinimum = 'maximum-below-minimum';
    case OutOfRange = 'out-of-range';
    case Spike = 'spike';
    case RunOfEqualValues = 'run-of-equal-values';
    case SourceFlag = 'source-flag';
    case Future = 'future';
    case Duplicate = 'duplicate';

    public function inWords(): string
    {
        return match ($this) {
            self::MaximumBelowMinimum => 'the maximum lies below the minimum',
            self::OutOfRange => 'outside −70 to 60 °C',
            self::Spike => 'more than 25 °C from the days before and after',
            self::RunOfEqualValues => 'the same value for ten days or more',
            self::SourceFlag => 'flagged by the source',
            self::Future => 'a day that has not come yet',
            self::Duplicate => 'the day appears twice with different values',
        };
    }
}
