<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Runs;
use Anthesis\Season\Member;
use Anthesis\Season\ThisSeason;

/**
 * How many plantings of a succession are in harvest on each day, over the years on record. Day i of every list is i days after the
 * succession's first.
 */
final readonly class SupplyLine
{
    private const PROBABILITIES = [0.1, 0.5, 0.9];

    /**
     * @param  int  $years  in which all of its plantings came to an end on record
     * @param  list<int>  $usual  plantings in harvest if each is harvested at its typical time
     * @param  list<float>  $low  10% of the years have no more than this
     * @param  list<float>  $middle  50%
     * @param  list<float>  $high  90%
     */
    private function __construct(public int $years, public array $usual, public array $low, public array $middle, public array $high)
    {
    }

    /**
     * @param  YearDay  $from  the succession's first day
     * @param  list<SuccessionSowing>  $sowings
     */
    public static function of(Runs $runs, YearDay $from, array $sowings): self
    {
        $usual = self::usual($sowings);
        $days = count($usual);

        return self::counted(
            $usual,
            array_map(static fn (int $start): ?array => self::year($runs, $start, $sowings, $days), $runs->sowDays->days[$from->number]),
        );
    }

    /**
     * The same for this season: years are the members in which all of the plantings come to an end.
     *
     * @param  Day  $from  the succession's first day, this year
     * @param  list<SuccessionSowing>  $sowings
     */
    public static function ofSeason(ThisSeason $season, Crop $crop, Route $route, Day $from, array $sowings): self
    {
        $usual = self::usual($sowings);
        $days = count($usual);
        $picked = array_fill_keys(array_map(static fn (Member $m): int => $m->year, $season->members), array_fill(0, $days, 0));
        foreach ($sowings as $sowing) {
            $members = $season->sowing($crop, $route, $from->plus($sowing->after))->members;
            $picked = array_intersect_key($picked, $members);
            foreach ($members as $year => [$code, $wait]) {
                if ($code === Outcome::Harvest->code() && isset($picked[$year])) {
                    $first = $sowing->after + (int) $wait;
                    for ($i = $first, $end = min($days, $first + ($members[$year][2] ?? 0)); $i < $end; $i++) {
                        $picked[$year][$i]++;
                    }
                }
            }
        }

        return self::counted($usual, array_map(array_values(...), array_values($picked)));
    }

    /**
     * @param  list<SuccessionSowing>  $sowings
     * @return list<int>
     */
    private static function usual(array $sowings): array
    {
        $days = max([-1, ...array_map(static fn (SuccessionSowing $s): int => $s->last, $sowings)]) + 1;
        $usual = array_fill(0, $days, 0);
        foreach ($sowings as $sowing) {
            for ($i = $sowing->first; $i <= $sowing->last; $i++) {
                $usual[$i]++;
            }
        }

        return array_values($usual);
    }

    /**
     * @param  list<int>  $usual
     * @param  list<list<int>|null>  $picked  by year, plantings in harvest by day; null: not known
     */
    private static function counted(array $usual, array $picked): self
    {
        $years = array_values(array_filter($picked, static fn (?array $year): bool => $year !== null && $year !== []));
        $quantiles = [[], [], []];
        foreach (array_keys($usual) as $day) {
            $counts = array_column($years, $day);
            sort($counts);
            foreach (self::PROBABILITIES as $n => $p) {
                $quantiles[$n][] = (float) Quantile::of($counts, $p);
            }
        }

        return new self(count($years), $usual, ...$quantiles);
    }

    /** @return list<array{int, int}> first and last day of each stretch, between the first harvest and the last, with nothing to harvest */
    public function gaps(): array
    {
        // The line starts with the wait for the first harvest and ends with the last day of the last one.
        return array_values(array_filter($this->stretches(static fn (int $n): bool => $n === 0), static fn (array $s): bool => $s[0] > 0));
    }

    /** @return list<array{int, int}> first and last day of each stretch on which two or more plantings are harvested at once */
    public function gluts(): array
    {
        return $this->stretches(static fn (int $n): bool => $n > 1);
    }

    /**
     * How much to sow for a need.
     *
     * @param  float  $amount  needed per week, kg or stems
     * @param  float  $yieldPerMetre  what a meter of row yields in all, in the same unit
     * @return float meters of row for one planting that yield this much in each week of its harvest
     */
    public static function metres(SuccessionSowing $sowing, float $amount, float $yieldPerMetre): float
    {
        return $amount / (($yieldPerMetre * 7) / ($sowing->last - $sowing->first + 1));
    }

    /**
     * @param  list<SuccessionSowing>  $sowings
     * @return list<int>|null plantings in harvest by day, in the year in which the succession starts on a day of the record; null: not all
     *   of them end on record
     */
    private static function year(Runs $runs, int $start, array $sowings, int $days): ?array
    {
        $picked = array_fill(0, $days, 0);
        foreach ($sowings as $sowing) {
            $sown = $start + $sowing->after;
            $outcome = $runs->outcomes[$sown] ?? Outcome::NONE;
            if ($outcome === Outcome::NONE) {
                return null;
            }
            if ($outcome === Outcome::Harvest->code()) {
                $first = $runs->mature[$sown] - $start;
                for ($i = $first, $end = min($days, $first + $runs->harvests[$sown]); $i < $end; $i++) {
                    $picked[$i]++;
                }
            }
        }

        return array_values($picked);
    }

    /**
     * @param  callable(int): bool  $holds
     * @return list<array{int, int}>
     */
    private function stretches(callable $holds): array
    {
        $stretches = [];
        $began = null;
        foreach ([...$this->usual, null] as $day => $count) {
            if ($count !== null && $holds($count)) {
                $began ??= $day;
            } elseif ($began !== null) {
                $stretches[] = [$began, $day - 1];
                $began = null;
            }
        }

        return $stretches;
    }
}
