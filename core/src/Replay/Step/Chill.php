<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/** A crop that needs a winter matures some growth after the last cold day it needs, counted from sowing. */
final readonly class Chill implements Step
{
    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        $days = $this->tables->days;
        $growth = $this->tables->growth($this->needs->crop, $this->needs->light);
        [$chillBefore, $chillDays] = $this->tables->chillDays();
        $asked = $this->needs->chillDays;
        $mature = $sowings->mature;
        $done = 0;
        foreach ($sowings->left as $plant) {
            $chilled = $chillDays[$chillBefore[$plant + 1] + $asked - 1];
            if ($chilled >= $days) {
                $mature[$plant] = SeasonTables::NEVER;

                continue;
            }
            if ($done < $chilled) {
                $done = $chilled;
            }
            $reached = $growth[$chilled + 1] + $this->needs->afterChill;
            while ($done < $days && $growth[$done + 1] < $reached) {
                $done++;
            }
            $mature[$plant] = max($mature[$plant], $done);
        }
        $sowings->mature = $mature;
    }
}
