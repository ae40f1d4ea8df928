<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Crop\Maturity;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/**
 * From sowing to emergence, by soil temperature; a transplant is up right away.
 *
 * A sowing that is not up in time is lost: to cold if the soil was below the temperature at which packet days are right, otherwise to
 * warmth. Sowings whose season runs past the record, or into a gap, do not count and become no plant.
 */
final readonly class Emergence implements Step
{
    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        if ($this->needs->isSownInPlace()) {
            $this->sow($sowings);
        } else {
            $this->setOut($sowings);
        }
    }

    private function setOut(Sowings $sowings): void
    {
        $missing = $this->tables->missing;
        $left = [];
        $until = $this->tables->days - Replay::HORIZON;
        foreach ($sowings->left as $day) {
            if ($day < $until && $missing[$day + Replay::HORIZON + 1] === $missing[$day]) {
                $left[] = $day;
            }
        }
        $sowings->ups = range(0, $this->tables->days - 1);
        $sowings->left = $left;
    }

    private function sow(Sowings $sowings): void
    {
        $emergence = $this->tables->emergence($this->needs->crop->emergence);
        $limitDays = $this->needs->crop->emergence->maxDays;
        [$missing, $soilSum, $days] = [$this->tables->missing, $this->tables->soilSum, $this->tables->days];
        $coldBelow = ($this->needs->crop->growth->refC + Maturity::SOIL_ABOVE_AIR) * $limitDays;
        [$cold, $hot] = [Outcome::NoEmergenceCold->code(), Outcome::NoEmergenceHot->code()];
        // If cold is counted from the day of sowing, sowings that emerge together need not have the same fate.
        $apart = $this->needs->chillDays > 0;
        [$outcomes, $ends] = $sowings->ledger();
        $ups = $sowings->ups;
        $sowings->ups = $left = $twins = [];
        $up = $plant = 0;
        $lastUp = -1;
        foreach ($sowings->left as $sown) {
            if ($up <= $sown) {
                $up = $sown + 1;
            }
            $reached = $emergence[$sown + 1] + 1.0 - Tolerance::SUMS;
            while ($up < $days && $emergence[$up + 1] < $reached) {
                $up++;
            }
            $limit = $sown + $limitDays;
            if ($up > $limit) {
                if ($limit >= $days) {
                    break;
                }
                if ($missing[$limit + 1] === $missing[$sown]) {
                    $outcomes[$sown] = $coldBelow > $soilSum[$limit + 1] - $soilSum[$sown + 1] ? $cold : $hot;
                    $ends[$sown] = $limit;
                }

                continue;
            }
            $end = $up + Replay::HORIZON + 1;
            if ($end > $days || $missing[$end] !== $missing[$sown]) {
                continue;
            }
            if ($up === $lastUp && ! $apart) {
                $twins[$sown] = $plant;

                continue;
            }
            $left[] = $plant = $sown;
            $ups[$sown] = $lastUp = $up;
        }
        [$sowings->ups, $sowings->twins] = [$ups, $twins];
        $sowings->giveBack($outcomes, $ends, $left);
    }
}
