<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Trial\Wave;

/** Which wave of a trial did best, judged by its harvest, over finished plots, including those that were lost. */
final class TrialVerdict
{
    /** @return array<string, mixed> as the contract's Verdict */
    public static function of(Trial $trial): array
    {
        $done = array_values(array_filter($trial->plots->all(), self::isDone(...)));
        $byMetre = $done !== [] && array_filter($done, static fn (TrialPlot $p): bool => ($p->sowing->metres ?? 0.0) <= 0.0) === [];
        $names = [];
        foreach ($done as $plot) {
            $names[self::nameOf($plot)] = [$plot->wave, $plot->variety];
        }
        $ranked = Wave::ranked(self::waves($done, $trial->measured_in, $byMetre));

        return [
            'measured_in' => $trial->measured_in,
            'by_metre' => $byMetre,
            'open' => count($trial->plots) - count($done),
            'one_seasons_word' => array_filter($ranked, static fn (Wave $w): bool => $w->isOneSeasonsWord()) !== [],
            'waves' => array_map(
                static fn (Wave $w): array => [
                    'wave' => $names[$w->name][0],
                    'variety' => $names[$w->name][1],
                    'repeats' => count($w->yields),
                    'lost' => $w->lost(),
                    'yield' => round($w->meanYield(), 3),
                    'quality' => $w->qualities === [] ? null : round($w->meanQuality(), 2),
                    'expected' => $w->expected,
                ],
                $ranked,
            ),
        ];
    }

    private static function nameOf(TrialPlot $plot): string
    {
        return "{$plot->wave}\n{$plot->variety}";
    }

    /**
     * @param  list<TrialPlot>  $done
     * @return list<Wave>
     */
    private static function waves(array $done, string $measuredIn, bool $byMetre): array
    {
        $waves = [];
        foreach ($done as $plot) {
            $name = self::nameOf($plot);
            $amount = (float) ($plot->sowing?->getAttribute($measuredIn) ?? 0.0);
            $waves[$name][0][] = $byMetre ? $amount / (float) $plot->sowing?->metres : $amount;
            if ($plot->sowing?->quality !== null) {
                $waves[$name][1][] = $plot->sowing->quality;
            }
            $waves[$name][2] = $plot->expected['harvests'] ?? null;
        }

        return array_map(
            static fn (string $name, array $wave): Wave => new Wave($name, $wave[0], $wave[1] ?? [], $wave[2]),
            array_keys($waves),
            array_values($waves),
        );
    }

    private static function isDone(TrialPlot $plot): bool
    {
        return $plot->sowing?->ended_on !== null || ($plot->trial->closed_on !== null && $plot->sowing !== null);
    }
}
