<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Record\Day;
use Illuminate\Support\Carbon;

/**
 * The day the application takes for today: in the demonstration the one its clock stands on, otherwise the real one; tests set their own.
 */
final class Today
{
    /** Now, on the day taken for today: for what readers are shown the date of. */
    public static function now(): Carbon
    {
        return Carbon::now()->setDateFrom(self::day()->iso());
    }

    /** @param  string|null  $timeZone  IANA name, where the day is asked; null: where the application is */
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
