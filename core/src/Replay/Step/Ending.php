<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/**
 * Whichever comes first: maturity, and then a harvest until the end; or the end, and no harvest.
 *
 * The end is a freeze, bolting after cold or in long days, heat, or the horizon, in the order in which ties are settled. Heat is a number
 * of hot days late in its growth, or three weeks at its ceiling at any time. If it would have been harvested before that end had its fruit
 * set right away, it was lost to fruit that did not set.
 */
final readonly class Ending implements Step
{
    private const DAYS_AT_CEILING = 21;

    private const BOLTING_HOURS = 12.5;

    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        $crop = $this->needs->crop;
        [$hotBefore, $hotDays] = $this->tables->hotDays($crop->heat->maximumC);
        [$ceilingBefore, $ceilingDays] = $this->tables->days($crop->growth->ceilingC);
        [$lastHot, $lastAtCeiling] = [$crop->heat->days - 1, self::DAYS_AT_CEILING - 1];
        [$longest, $shortest] = [$crop->harvest->days, $crop->harvest->leastDays];
        [$harvested, $short, $frozen, $seeded, $seededByLight, $heat, $late, $unset] = self::codes();
        $bolted = $this->needs->boltChillDays > 0 ? $this->bolted($sowings) : [];
        $lit = $crop->bolting->dayHours === null ? [] : $this->boltedByLight($sowings, $crop->bolting->dayHours);
        [$ups, $killed, $mature, $heatFrom] = [$sowings->ups, $sowings->killed, $sowings->mature, $sowings->heatFrom];
        [$harvests, $withoutSet] = [$sowings->harvests, $sowings->withoutSet];
        $sowings->harvests = [];
        [$outcomes, $ends] = $sowings->ledger();
        foreach ($sowings->left as $plant) {
            $up = $ups[$plant];
            $stop = $killed[$plant];
            $ended = $frozen;
            if ($bolted !== [] && $bolted[$plant] < $stop) {
                $stop = $bolted[$plant];
                $ended = $seeded;
            }
            if ($lit !== [] && $lit[$plant] < $stop) {
                $stop = $lit[$plant];
                $ended = $seededByLight;
            }
            $hot = $hotDays[$hotBefore[$heatFrom[$plant] + 1] + $lastHot];
            $ceiling = $ceilingDays[$ceilingBefore[$up + 1] + $lastAtCeiling];
            if ($ceiling < $hot) {
                $hot = $ceiling;
            }
            if ($hot < $stop) {
                $stop = $hot;
                $ended = $heat;
            }
            if ($up + Replay::HORIZON < $stop) {
                $stop = $up + Replay::HORIZON;
                $ended = $late;
            }
            $from = $mature[$plant];
            if ($stop <= $from) {
                $outcomes[$plant] = $withoutSet !== [] && $withoutSet[$plant] < $stop ? $unset : $ended;
                $ends[$plant] = $stop;

                continue;
            }
            $harvest = $stop - $from;
            if ($harvest > $longest) {
                $harvest = $longest;
            }
            $outcomes[$plant] = $harvest < $shortest ? $short : $harvested;
            $ends[$plant] = $from + $harvest;
            $harvests[$plant] = $harvest;
        }
        $sowings->harvests = $harvests;
        $sowings->giveBack($outcomes, $ends, []);
    }

    /** @return list<int> codes of the outcomes a season can end with here, in the order take() names them */
    private static function codes(): array
    {
        return array_map(static fn (Outcome $outcome): int => $outcome->code(), [
            Outcome::Harvest,
            Outcome::ShortHarvest,
            Outcome::FreezeLate,
            Outcome::ColdBolt,
            Outcome::LongDayBolt,
            Outcome::Heat,
            Outcome::OutOfTime,
            Outcome::NoSet,
        ]);
    }

    /** @return array<int, int> by plant: the first long day after its cold days; NEVER */
    private function bolted(Sowings $sowings): array
    {
        $days = $this->tables->days;
        $nextLongDay = $this->tables->nextDayOfHours(self::BOLTING_HOURS);
        [$chillBefore, $chillDays] = $this->tables->chillDays();
        $asked = $this->needs->boltChillDays - 1;
        $ups = $sowings->ups;
        $bolted = array_fill(0, $days, SeasonTables::NEVER);
        $big = $sowings->left === [] || $this->needs->crop->bolting->coldFromGrowthDays <= 0.0 ? $ups : $this->bigEnough($sowings);
        foreach ($sowings->left as $plant) {
            if ($big[$plant] >= $days) {
                continue;
            }
            $chilled = $chillDays[$chillBefore[$big[$plant] + 1] + $asked];
            if ($chilled < $days) {
                $bolted[$plant] = $nextLongDay[$chilled];
            }
        }

        return $bolted;
    }

    /** @return array<int, int> by plant: the day after which it is big enough for cold to count; NEVER */
    private function bigEnough(Sowings $sowings): array
    {
        $days = $this->tables->days;
        $growth = $this->tables->growth($this->needs->crop, $this->needs->light);
        $ups = $sowings->ups;
        $big = array_fill(0, $days, SeasonTables::NEVER);
        $day = 0;
        foreach ($sowings->left as $plant) {
            $up = $ups[$plant];
            if ($day < $up) {
                $day = $up;
            }
            $reached = $growth[$up + 1] + $this->needs->coldFrom;
            while ($day < $days && $growth[$day + 1] < $reached) {
                $day++;
            }
            if ($day < $days) {
                $big[$plant] = $day;
            }
        }

        return $big;
    }

    /** @return array<int, int> by plant: the day by which it has grown enough on long days to bolt; NEVER */
    private function boltedByLight(Sowings $sowings, float $hours): array
    {
        $days = $this->tables->days;
        $growth = $this->tables->longDayGrowth($this->needs->crop, $this->needs->light, $hours);
        $ups = $sowings->ups;
        $bolted = array_fill(0, $days, SeasonTables::NEVER);
        $day = 0;
        foreach ($sowings->left as $plant) {
            $up = $ups[$plant];
            if ($day <= $up) {
                $day = $up + 1;
            }
            $reached = $growth[$up + 1] + $this->needs->longDayBolting;
            while ($day < $days && $growth[$day + 1] < $reached) {
                $day++;
            }
            if ($day < $days) {
                $bolted[$plant] = $day;
            }
        }

        return $bolted;
    }
}
