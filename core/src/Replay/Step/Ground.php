<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Record\YearDay;
use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/**
 * Before anything is sown: there must be something to sow, and ground that can be opened. Where not, the day counts if its
 * season is on record.
 */
final readonly class Ground implements Step
{
    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        $missing = $this->tables->missing;
        $sowDay = $this->tables->sowDay;
        $frozen = $this->tables->frozenGround();
        $stock = $this->stock();
        [$noStock, $groundFrozen] = [Outcome::NoStock->code(), Outcome::GroundFrozen->code()];
        $counted = $this->tables->days - Replay::HORIZON;
        [$outcomes, $ends] = $sowings->ledger();
        $left = [];
        foreach ($frozen as $day => $isFrozen) {
            if ($stock !== [] && ! $stock[$sowDay[$day]]) {
                $outcome = $noStock;
            } elseif ($isFrozen) {
                $outcome = $groundFrozen;
            } else {
                $left[] = $day;

                continue;
            }
            if ($day < $counted && $missing[$day + Replay::HORIZON + 1] === $missing[$day]) {
                $outcomes[$day] = $outcome;
                $ends[$day] = $day;
            }
        }
        $sowings->giveBack($outcomes, $ends, $left);
    }

    /** @return array<int, bool> by sow day 1…365, whether there is stock to plant; empty: there always is */
    private function stock(): array
    {
        $stock = $this->needs->crop->stock;
        if ($stock === null) {
            return [];
        }
        $longest = $this->tables->latitude->longestDay();
        $days = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $since = $longest->daysUntil(YearDay::fromNumber($day));
            $days[$day] = $since >= $stock->fromDays && $since <= $stock->toDays;
        }

        return $days;
    }
}
