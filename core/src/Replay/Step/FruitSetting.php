<?php

declare(strict_types=1);

namespace Anthesis\Replay\Step;

use Anthesis\Crop\FruitSet;
use Anthesis\Replay\CropNeeds;
use Anthesis\Replay\SeasonTables;
use Anthesis\Replay\Sowings;
use LogicException;

/**
 * Fruit sets on the fifth day whose night and afternoon allow it, once the plant is big enough, and takes some growth to ripen. Nights too
 * cold or too hot, or days too hot, make a crop late or barren.
 */
final readonly class FruitSetting implements Step
{
    private const SETTING_DAYS = 5;

    private FruitSet $set;

    public function __construct(private SeasonTables $tables, private CropNeeds $needs)
    {
        $this->set = $needs->crop->fruitSet ?? throw new LogicException("{$needs->crop->slug} waits for no fruit to set.");
    }

    public function take(Sowings $sowings): void
    {
        $days = $this->tables->days;
        $growth = $this->tables->growth($this->needs->crop, $this->needs->light);
        [$setBefore, $setDays] = $this->tables->settingDays($this->set);
        [$toSet, $toRipen] = [$this->needs->setFrom, $this->needs->afterSet];
        $ups = $sowings->ups;
        $mature = $sowings->withoutSet = $sowings->mature;
        $ready = $ripe = 0;
        foreach ($sowings->left as $plant) {
            $up = $ups[$plant];
            if ($ready < $up) {
                $ready = $up;
            }
            $reached = $growth[$up + 1] + $toSet;
            while ($ready < $days && $growth[$ready + 1] < $reached) {
                $ready++;
            }
            $set = $ready < $days ? $setDays[$setBefore[$ready + 1] + self::SETTING_DAYS - 1] : SeasonTables::NEVER;
            if ($set >= $days) {
                $mature[$plant] = SeasonTables::NEVER;

                continue;
            }
            if ($ripe < $set) {
                $ripe = $set;
            }
            $reached = $growth[$set + 1] + $toRipen;
            while ($ripe < $days && $growth[$ripe + 1] < $reached) {
                $ripe++;
            }
            if ($mature[$plant] < $ripe) {
                $mature[$plant] = $ripe;
            }
        }
        $sowings->mature = $mature;
    }
}
