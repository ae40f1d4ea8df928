<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Record\YearDay;
use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/**
 * Before anything is sown, there must be something to sow, and ground that can be opened. If not, the day counts if its season is on
 * record.
 */
final readonly class Ground implements Step
{
    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        [$open, $frozen, $counted] = array_map($sowings->sownOn(...), $this->tables->ground());
        $sowDay = $this->tables->sowDays->yearDay;
        $stock = $this->stock();
        [$outcomes, $ends] = $sowings->ledger();
        $groundFrozen = Outcome::GroundFrozen->code();
        foreach ($frozen as $day) {
            $outcomes[$day] = $groundFrozen;
            $ends[$day] = $day;
        }
        if ($stock === []) {
            $sowings->giveBack($outcomes, $ends, $open);

            return;
        }
        $noStock = Outcome::NoStock->code();
        foreach ($counted as $day) {
            if (! $stock[$sowDay[$day]]) {
                $outcomes[$day] = $noStock;
                $ends[$day] = $day;
            }
        }
        $sowings->giveBack($outcomes, $ends, array_values(array_filter($open, static fn (int $day): bool => $stock[$sowDay[$day]])));
    }

    /** @return array<int, bool> by sow day 1…365, whether planting stock is available; empty: always */
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
