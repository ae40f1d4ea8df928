<?php

declare(strict_types=1);

namespace App\Zones;

/** Moves every zone in which a new day has begun on to it: once a day, whoever looks first. */
final class TurnDays
{
    /** @return int how many zones moved on */
    public function execute(): int
    {
        $turned = 0;
        foreach (Zone::query()->orderBy('id')->get() as $zone) {
            $today = $zone->today()->iso();
            // The demonstration's clock can go back too, so any other day counts, not just a later one.
            $first = Zone::query()
                ->whereKey($zone->id)
                ->where(static fn ($q) => $q->whereNull('begun_day')->orWhere('begun_day', '!=', $today))
                ->toBase()
                ->update(['begun_day' => $today]);
            if ($first === 1) {
                event(new DayTurned($zone->id));
                $turned++;
            }
        }

        return $turned;
    }
}
