<?php

declare(strict_types=1);

namespace Anthesis\Season;

/** Why a place's season cannot be told of. */
enum SeasonLack: string
{
    /** The record ends longer ago than a gap is bridged. */
    case RecordEnds = 'record-ends';

    /** The record does not reach far enough back to splice past years to. */
    case RecordIsShort = 'record-is-short';
}
