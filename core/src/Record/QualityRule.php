<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** Why a value is kept but not used; `quality.<value>` in words. */
enum QualityRule: string
{
    case MaximumBelowMinimum = 'maximum-below-minimum';
    case OutOfRange = 'out-of-range';
    case Spike = 'spike';
    case RunOfEqualValues = 'run-of-equal-values';
    case SourceFlag = 'source-flag';
    case Future = 'future';
    case Duplicate = 'duplicate';
    case SumOfDays = 'sum-of-days';
}
