<?php

declare(strict_types=1);

namespace Anthesis\Replay;

use Anthesis\Record\YearDay;

/** How much of a whole harvest a sowing on each day of the year brings, on the mean of all years: what tells a good day from a reliable one. */
final class ExpectedHarvest
{
    /**
     * @param  int  $wholeDays  of a whole harvest, the crop's harvest_days
     * @return list<float> length 365, 0…1: of the years that count the mean of size · harvest days / whole ones, 0 for all that came
     *                     to no harvest; then the centred circular mean of seven days
     */
    public static function of(Runs $runs, int $wholeDays): array
    {
        $harvest = Outcome::Harvest->code();
        $sums = $counts = array_fill(1, YearDay::YEAR, 0);
        $sizes = $runs->sizes;
        $harvests = $runs->harvests;
        $sowDays = $runs->sowDays;
        foreach ($runs->outcomes as $i => $code) {
            if ($code === Outcome::NONE) {
                continue;
            }
            $counts[$sowDays[$i]]++;
            if ($code === $harvest) {
                $sums[$sowDays[$i]] += ($sizes[$i] ?? 1.0) * $harvests[$i];
            }
        }
        $means = [];
        foreach ($counts as $day => $count) {
            $means[] = $count === 0 ? 0.0 : $sums[$day] / ($count * $wholeDays);
        }

        return WeekMean::of($means);
    }
}
