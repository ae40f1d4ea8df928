<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Record\Day;
use App\Operations\DemoClock;
use App\Operations\MoveDemoClock;
use Illuminate\Http\Request;

class DemoClockController
{
    public function update(Request $request, MoveDemoClock $move): SessionResource
    {
        abort_unless(
            (bool) config('anthesis.demonstration'),
            404,
            'Only the demonstration has a clock that can be moved. Here, the real date is used.',
        );
        $values = $request->validate([
            'today' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d',
                'after_or_equal:'.DemoClock::FIRST,
                'before_or_equal:'.DemoClock::LAST,
            ],
        ]);
        $move->execute(Day::fromIso($values['today']));

        return new SessionResource($request->user());
    }
}
