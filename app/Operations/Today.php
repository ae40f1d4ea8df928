<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Record\Day;
use Illuminate\Support\Carbon;

/** The day the application uses as today: in the demonstration, the date of its clock; otherwise the real one. Tests set their own. */
final class Today
{
    /** The current time, on that day: for dates that readers see. */
    public static function now(): Carbon
    {
        return Carbon::now()->setDateFrom(self::day()->iso());
    }

    /** @param  string|null  $timeZone  IANA name of the zone's time zone; null: the application's */
    public static function day(?string $timeZone = null): Day
    {
        $set = config('anthesis.today');

        return match (true) {
            is_string($set) && $set !== '' => Day::fromIso($set),
            (bool) config('anthesis.demonstration') => DemoClock::today(),
            default => Day::fromIso(Carbon::now($timeZone ?? date_default_timezone_get())->format('Y-m-d')),
        };
    }
}
