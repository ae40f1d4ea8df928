<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Record\Day;
use Illuminate\Support\Facades\Event;

/** Moves the demonstration to another day. */
class MoveDemoClock
{
    public function execute(Day $to): void
    {
        DemoClock::query()->updateOrCreate(['id' => 1], ['today' => $to->iso()]);
        Event::dispatch(new DemoClockMoved());
    }
}
