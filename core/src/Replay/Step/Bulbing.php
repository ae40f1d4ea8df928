<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/**
 * A bulb starts bulbing once it has grown a little, had its cold days, and meets days that are long enough and a week that is warm enough.
 * One that is not big enough by then, or meets no such days, fails. Heat counts from the start of bulbing.
 */
final readonly class Bulbing implements Step
{
    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        $needs = $this->needs;
        $days = $this->tables->days;
        $growth = $this->tables->growth($needs->crop, $needs->light);
        $nextBulbing = $this->tables->nextBulbing((float) $needs->crop->bulb?->criticalDayHours, $needs->crop->bulb?->fromC);
        [$chillBefore, $chillDays] = $this->tables->chillDays();
        $chill = $needs->chillDays;
        $wrongLength = Outcome::DayLength->code();
        [$ups, $killed, $mature, $heatFrom] = [$sowings->ups, $sowings->killed, $sowings->mature, $sowings->heatFrom];
        $sowings->mature = $sowings->heatFrom = [];
        [$outcomes, $ends] = $sowings->ledger();
        $left = $sizes = [];
        $ready = $done = 0;
        foreach ($sowings->left as $plant) {
            $up = $ups[$plant];
            $before = $growth[$up + 1];
            if ($ready < $up) {
                $ready = $up;
            }
            $reached = $before + $needs->bulbingFrom;
            while ($ready < $days && $growth[$ready + 1] < $reached) {
                $ready++;
            }
            $from = $chill > 0 ? max($ready, $chillDays[$chillBefore[$plant + 1] + $chill - 1]) : $ready;
            $bulbing = $from < $days ? $nextBulbing[$from] : SeasonTables::NEVER;
            $horizon = $up + Replay::HORIZON;
            $none = $bulbing > $horizon;
            $frozenBefore = $killed[$plant] < $bulbing && $killed[$plant] <= $horizon;
            if (! $frozenBefore && ($none || $needs->fullSize > $growth[$bulbing + 1] - $before)) {
                $outcomes[$plant] = $wrongLength;
                $ends[$plant] = $none ? $horizon : $bulbing;

                continue;
            }
            $left[] = $plant;
            if ($none) {
                $mature[$plant] = SeasonTables::NEVER;
                $heatFrom[$plant] = $horizon;

                continue;
            }
            if ($done < $bulbing) {
                $done = $bulbing;
            }
            $reached = $growth[$bulbing + 1] + $needs->bulbing;
            while ($done < $days && $growth[$done + 1] < $reached) {
                $done++;
            }
            $mature[$plant] = max($mature[$plant], $done);
            $sizes[$plant] = $needs->juvenile > 0.0 ? min(1.0, ($growth[$bulbing + 1] - $before) / $needs->juvenile) : 1.0;
            $heatFrom[$plant] = $bulbing;
        }
        [$sowings->mature, $sowings->heatFrom, $sowings->sizes] = [$mature, $heatFrom, $sizes];
        $sowings->giveBack($outcomes, $ends, $left);
    }
}
