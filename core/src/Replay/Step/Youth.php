<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Crop\Hardiness;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;

/**
 * From emergence to the end of youth, while a plant is tender: a freeze kills it, or two weeks with hardly any growth stunt it, or heat in
 * these two weeks kills it. Bulbs survive such weeks, and so does a direct-sown plant if it is the cold that holds it back.
 *
 * What survives is marked with the day it would freeze as a grown plant, and the days on which its growth makes it mature and sensitive to
 * heat.
 */
final readonly class Youth implements Step
{
    private const STUNTED_DAYS = 14;

    private const STUNTED_GROWTH = 3.0;

    private const HEAT_WITHIN_DAYS = 14;

    private const HOT_DAYS = 5;

    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
    }

    public function take(Sowings $sowings): void
    {
        $needs = $this->needs;
        [$days, $meanSum] = [$this->tables->days, $this->tables->meanSum];
        $growth = $this->tables->growth($needs->crop, $needs->light);
        [$nextYoungFreeze, $nextFreeze] = $this->freezes($needs->crop->hardiness);
        [$youth, $mayStunt] = [$needs->youth, ! $needs->isBulb()];
        // The tolerance came with rain and snow; without them, a record gives the same results as before, to the last bit.
        $enough = self::STUNTED_GROWTH - ($this->tables->hasRainOrSnow ? Tolerance::SUMS : 0.0);
        // A transplant can be stunted in any weather; above this mean, it cannot be the cold.
        $warmSum = $needs->isSownInPlace() ? self::STUNTED_DAYS * $needs->crop->growth->refC : -INF;
        [$frozen, $scorched, $stunted] = [Outcome::FreezeYoung->code(), Outcome::HeatYoung->code(), Outcome::Stunted->code()];
        [$hotBefore, $hotDays] = $needs->crop->heat->youngC === null ? [[], []] : $this->tables->hotDays($needs->crop->heat->youngC);
        $ups = $sowings->ups;
        $killed = array_fill(0, $days, SeasonTables::NEVER);
        [$outcomes, $ends] = $sowings->ledger();
        $left = [];
        $young = 0;
        foreach ($sowings->left as $plant) {
            $up = $ups[$plant];
            $before = $growth[$up + 1];
            if ($young < $up) {
                $young = $up;
            }
            $reached = $before + $youth;
            while ($young < $days && $growth[$young + 1] < $reached) {
                $young++;
            }
            $freeze = $nextYoungFreeze[$up + 1];
            if ($freeze <= $young && $freeze <= $up + Replay::HORIZON) {
                $outcomes[$plant] = $frozen;
                $ends[$plant] = $freeze;

                continue;
            }
            if ($hotDays !== []) {
                $hot = $hotDays[$hotBefore[$up + 1] + self::HOT_DAYS - 1];
                if ($hot <= $up + self::HEAT_WITHIN_DAYS) {
                    $outcomes[$plant] = $scorched;
                    $ends[$plant] = $hot;

                    continue;
                }
            }
            $check = $up + self::STUNTED_DAYS + 1;
            if ($mayStunt && $enough > $growth[$check] - $before && $warmSum < $meanSum[$check] - $meanSum[$up + 1]) {
                $outcomes[$plant] = $stunted;
                $ends[$plant] = $up + self::STUNTED_DAYS;

                continue;
            }
            if ($young < $days) {
                $killed[$plant] = $nextFreeze[$young + 1];
            }
            $left[] = $plant;
        }
        $sowings->killed = $killed;
        $this->markGrowth($sowings, $left, $ups, $growth);
        $sowings->giveBack($outcomes, $ends, $left);
    }

    /** @return array{list<int>, list<int>} next day that kills a young plant, and a grown one */
    private function freezes(Hardiness $hardiness): array
    {
        return [
            $this->tables->nextFreeze($hardiness->killYoungC, $hardiness->bySoil),
            $this->tables->nextFreeze($hardiness->killC, $hardiness->bySoil),
        ];
    }

    /**
     * The days on which growth makes each plant mature and sensitive to heat. Plants are in the order in which they emerged, so both days
     * only ever move forward.
     *
     * @param  list<int>  $plants
     * @param  array<int, int>  $ups  by plant, the day it emerged
     * @param  list<float>  $growth  sums before each day
     */
    private function markGrowth(Sowings $sowings, array $plants, array $ups, array $growth): void
    {
        [$days, $meanSum] = [$this->tables->days, $this->tables->meanSum];
        [$toMature, $toHeat] = [$this->needs->maturity, $this->needs->heatFrom];
        $mature = $heatFrom = array_fill(0, $days, SeasonTables::NEVER);
        $ripe = $open = 0;
        foreach ($plants as $plant) {
            $up = $ups[$plant];
            $before = $growth[$up + 1];
            if ($open < $up) {
                $open = $up;
            }
            $reached = $before + $toHeat;
            while ($open < $days - 1 && $growth[$open + 1] < $reached) {
                $open++;
            }
            $heatFrom[$plant] = $open;
            if ($ripe < $open) {
                $ripe = $open;
            }
            $reached = $before + $toMature;
            while ($ripe < $days && $growth[$ripe + 1] < $reached) {
                $ripe++;
            }
            $mature[$plant] = $ripe;
        }
        [$sowings->mature, $sowings->heatFrom] = [$mature, $heatFrom];
    }
}
