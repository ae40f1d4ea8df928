<?php

declare(strict_types=1);

namespace Anthesis\Season;

/** Why nothing can be said about a place's season. */
enum SeasonLack: string
{
    /** The record ended longer ago than a gap that can be bridged. */
    case RecordEnds = 'record-ends';

    /** The record does not go back far enough to continue it with past years. */
    case RecordIsShort = 'record-is-short';
}
