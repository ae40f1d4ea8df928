<?php

declare(strict_types=1);

namespace App\Results;

/** What a result is about, and how long one that no computation refers to is kept after it was last used. */
enum ResultKind: string
{
    case Record = 'record';
    case Ruler = 'ruler';
    case Climate = 'climate';
    case Rain = 'rain';
    case Dossier = 'sheet';
    case Comparison = 'compared';
    case Today = 'today';
    case Workable = 'workable';
    case UnderWay = 'under-way';
    case WaterDue = 'water-due';
    case LocalDays = 'local-days';
    case Cue = 'cue';
    case Ground = 'ground';
    case Spares = 'spares';
    case MethodChanges = 'method-changes';
    case Promises = 'promises';
    case TrackRecord = 'track-record';
    case Mornings = 'mornings';
    case Sensitivity = 'sensitivity';

    /** Days. What depends on today's date is different tomorrow; the rest is used again as long as nobody changes anything. */
    public function keptDays(): int
    {
        return match ($this) {
            self::Today, self::Workable, self::UnderWay, self::WaterDue, self::Cue => 2,
            self::Ruler, self::Climate, self::Rain, self::Dossier, self::Comparison, self::TrackRecord => 7,
            self::Record, self::LocalDays, self::Ground, self::Spares => 30,
            self::MethodChanges, self::Promises, self::Mornings, self::Sensitivity => 30,
        };
    }
}
