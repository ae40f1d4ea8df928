<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Succession\EvenSupply;
use Anthesis\Succession\FixedInterval;
use Anthesis\Succession\HarvestDays;
use Anthesis\Succession\SuccessionSowing;
use Anthesis\Succession\SupplyLine;

/** A crop kept coming: sowings for an even harvest beside sowings at a fixed interval, and what both would have given in the years on record. */
final class CropSuccession
{
    /** Days apart, where the crop's own interval is not known. */
    private const INTERVAL = 14;

    /**
     * @param  int  $days  to sow for, after the first
     * @param  float|null  $kilograms  wanted a week; null: not said
     * @return array<string, mixed> as the contract's Succession
     */
    public static function of(Replay $replay, Crop $crop, Route $route, YearDay $from, int $days, float $standard, ?float $kilograms): array
    {
        $runs = $replay->runs($crop, $route);
        $harvests = HarvestDays::of($runs);
        $interval = $crop->convention->successionDays ?? self::INTERVAL;
        $plan = static fn (array $sowings): array => self::plan($runs, $from, $sowings, $kilograms, $crop->spacing->yieldKgPerM);

        return [
            'from' => $from->iso(),
            'days' => $days,
            'interval' => $interval,
            'yield_kg_per_m' => $crop->spacing->yieldKgPerM,
            'even' => $plan(EvenSupply::of($harvests, $from, $days, $standard)),
            'fixed' => $plan(FixedInterval::of($harvests, $from, $days, $standard, $interval)),
        ];
    }

    /**
     * @param  list<SuccessionSowing>  $sowings
     * @return array<string, mixed>
     */
    private static function plan(Runs $runs, YearDay $from, array $sowings, ?float $kilograms, ?float $yield): array
    {
        $supply = SupplyLine::of($runs, $from, $sowings);
        $rounded = static fn (array $line): array => array_map(static fn (float $n): float => round($n, 1), $line);

        return [
            'sowings' => array_map(static fn (SuccessionSowing $s): array => ['on' => $s->on->iso(), 'after' => $s->after, 'first' => $s->first, 'last' => $s->last,
                'metres' => $kilograms === null || $yield === null || $yield <= 0.0 ? null : round(SupplyLine::metres($s, $kilograms, $yield), 1)], $sowings),
            'years' => $supply->years,
            'usual' => $supply->usual,
            'low' => $rounded($supply->low),
            'middle' => $rounded($supply->middle),
            'high' => $rounded($supply->high),
            'gaps' => $supply->gaps(),
            'gluts' => $supply->gluts(),
        ];
    }
}
