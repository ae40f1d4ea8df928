<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Runs;
use Anthesis\Replay\WeekMean;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\SowingWindow;

/**
 * Whether windows keep their promise: each year on record is judged by the reliability, and the windows, of all the others.
 *
 * A promise is a share of years; the outcome is a harvest or none. Sowings on February 29 are left out, and so is a year if some day of the
 * year has no other year.
 */
final readonly class WindowPromises
{
    private const BINS = 5;

    /**
     * @param  int  $runs  of the judged years inside the windows made from the others
     * @param  int  $harvests  among these
     * @param  float|null  $promised  the mean reliability they were promised; null: there is none
     * @param  int  $judged  seasons on all days of the year
     * @param  float|null  $brier  mean of (promise − harvest)² over all of them; null: there is none
     * @param  float|null  $skill  1 minus that over the same for a constant, the other years' harvests on all days; null: the constant is
     *   never wrong
     * @param  list<array{int, float|null, int}>  $bins  of promises 0…0.2 … 0.8…1: seasons, their mean promise (null: no season), harvests
     * @param  list<int>  $binYears  for each bin, the judged years with a season in it
     * @param  array<int, array{int, int, float}>  $years  by judged year with seasons inside: these, their harvests, and the sum of what
     *   they were promised
     * @param  array<int, array{int, int, float}>  $months  the same by month of sowing, 1 to 12
     * @param  array<string, int>  $lost  seasons inside that came to no harvest, by Outcome
     */
    private function __construct(
        public int $runs,
        public int $harvests,
        public ?float $promised,
        public int $judged,
        public ?float $brier,
        public ?float $skill,
        public array $bins,
        public array $binYears,
        public array $years,
        public array $months,
        public array $lost,
    ) {
    }

    /** @param  float  $share  of years, at the confidence level */
    public static function of(Runs $runs, float $share): self
    {
        return self::atEach($runs, [$share])[0];
    }

    /**
     * The same at several confidence levels, for the price of one.
     *
     * @param  list<float>  $shares
     * @return list<self> in their order
     */
    public static function atEach(Runs $runs, array $shares): array
    {
        [$years, $all, $harvested, $lostTo] = self::counted($runs);
        [$poolRuns, $poolHarvests] = [array_sum($all), array_sum($harvested)];
        $judged = 0;
        $brier = $constant = 0.0;
        $number = $kept = $binYears = array_fill(0, self::BINS, 0);
        $mean = array_fill(0, self::BINS, 0.0);
        $inside = array_map(static fn (): PromisesInside => new PromisesInside(), $shares);
        foreach ($years as $year => $own) {
            $reliability = self::reliability($own, $all, $harvested);
            if ($reliability === null) {
                continue;
            }
            foreach ($shares as $i => $share) {
                $windows = ReplayWindows::reaching($reliability, $share, YearDay::fromNumber(1));
                $inside[$i]->count($year, self::inside($windows, $own), $reliability, $lostTo[$year] ?? []);
            }
            $others = ($poolHarvests - array_sum($own)) / max(1, $poolRuns - count($own));
            $seen = [];
            foreach ($own as $day => $harvest) {
                $promise = $reliability[$day - 1];
                $judged++;
                $brier += ($promise - $harvest) ** 2;
                $constant += ($others - $harvest) ** 2;
                $bin = min(self::BINS - 1, (int) floor(self::BINS * ($promise + Tolerance::SUMS)));
                $number[$bin]++;
                $mean[$bin] += $promise;
                $kept[$bin] += $harvest;
                $seen[$bin] = true;
            }
            foreach (array_keys($seen) as $bin) {
                $binYears[$bin]++;
            }
        }
        $bins = self::binned($number, $mean, $kept);

        return array_map(
            static fn (PromisesInside $in): self => new self(
                $in->runs,
                $in->harvests,
                $in->runs === 0 ? null : $in->promised / $in->runs,
                $judged,
                $judged === 0 ? null : $brier / $judged,
                $constant > 0.0 ? 1 - $brier / $constant : null,
                $bins,
                array_values($binYears),
                $in->years,
                $in->months,
                $in->lostTo(),
            ),
            $inside,
        );
    }

    /**
     * @param  array<int, int>  $number  seasons by bin
     * @param  array<int, float>  $sums  of their promises
     * @param  array<int, int>  $kept  harvests
     * @return list<array{int, float|null, int}> seasons, their mean promise (null: no season), harvests
     */
    private static function binned(array $number, array $sums, array $kept): array
    {
        return array_map(
            static fn (int $runs, float $promises, int $harvests): array => [$runs, $runs === 0 ? null : $promises / $runs, $harvests],
            array_values($number),
            array_values($sums),
            array_values($kept),
        );
    }

    /**
     * @return array{array<int, array<int, int>>, array<int, int>, array<int, int>, array<int, array<int, int>>} by year and day of the
     *   year, 1 for a harvest and 0 for none; seasons and harvests of all years by day of the year; by year and day of the year, the code
     *   of the Outcome of those without a harvest
     */
    private static function counted(Runs $runs): array
    {
        $years = $lost = [];
        $all = $harvested = array_fill(1, YearDay::YEAR, 0);
        $harvestCode = Outcome::Harvest->code();
        foreach ($runs->byYear() as $year => $codes) {
            foreach ($codes as $day => $code) {
                $years[$year][$day] = $harvest = $code === $harvestCode ? 1 : 0;
                $all[$day]++;
                $harvested[$day] += $harvest;
                if ($harvest === 0) {
                    $lost[$year][$day] = $code;
                }
            }
        }

        return [$years, $all, $harvested, $lost];
    }

    /**
     * @param  array<int, int>  $own  of the year being judged
     * @param  array<int, int>  $all
     * @param  array<int, int>  $harvested
     * @return list<float>|null length 365, from the other years; null: some day has none
     */
    private static function reliability(array $own, array $all, array $harvested): ?array
    {
        $shares = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $others = $all[$day] - (isset($own[$day]) ? 1 : 0);
            if ($others === 0) {
                return null;
            }
            $shares[] = ($harvested[$day] - ($own[$day] ?? 0)) / $others;
        }

        return WeekMean::of($shares);
    }

    /**
     * @param  list<SowingWindow>  $windows
     * @param  array<int, int>  $own  of the year being judged, by day of the year
     * @return list<int> days of the year on which it has a season inside of the windows, in order
     */
    private static function inside(array $windows, array $own): array
    {
        $days = [];
        foreach ($windows as $window) {
            for ($day = $window->first->number, $end = $day + $window->days; $day < $end; $day++) {
                $around = $day > YearDay::YEAR ? $day - YearDay::YEAR : $day;
                if (isset($own[$around])) {
                    $days[] = $around;
                }
            }
        }
        sort($days);

        return $days;
    }
}
