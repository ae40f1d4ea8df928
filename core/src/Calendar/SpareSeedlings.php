<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Ground\SeedNeed;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Window\ProofStandard;

/**
 * Seedlings to raise indoors beside a direct sowing that often fails to come up, or fails young: how many, from when, and until when they
 * can replace what failed.
 *
 * A row fails as a whole or not at all, so there are as many as a row needs, plus some (`SeedNeed::ofSpares`). They are started so that
 * they are ready when a sowing that is not up yet is late: on the day by which nine in ten of those that come up are up.
 *
 * A plain document, ready for JSON: of `years` on record, how many `failed`; `start` indoors; `ready` on the day a sowing is late; `until`:
 * the last day from there on that transplanting has a fair chance (null: none, so spares would not help); `per_metre` of row.
 *
 * @phpstan-type Spares array{years: int, failed: int, start: string, ready: string, until: string|null, per_metre: float}
 */
final class SpareSeedlings
{
    /** A sowing that fails in more than this share of the years gets spares. */
    private const OFTEN = 0.2;

    private const LATE = 0.9;

    private const FAILED = [Outcome::NoEmergenceCold, Outcome::NoEmergenceHot, Outcome::FreezeYoung, Outcome::HeatYoung];

    /**
     * @param  Place  $place  at the site it is grown at
     * @return Spares|null null if it is not grown both ways, seldom fails, or never came up
     */
    public static function of(Place $place, Crop $crop, YearDay $sown): ?array
    {
        $weeks = $crop->underCover->weeks;
        if ($weeks === null || ! in_array(Route::Direct, $crop->routes, true) || ! in_array(Route::Transplant, $crop->routes, true)) {
            return null;
        }
        $replay = Replay::ofPlace($place);
        $years = $failed = 0;
        $ups = [];
        foreach ($replay->runs($crop, Route::Direct)->all($sown->number) as $run) {
            $years++;
            $failed += in_array($run->outcome, self::FAILED, true) ? 1 : 0;
            if ($run->up !== null) {
                $ups[] = $run->up->number - $run->sown->number;
            }
        }
        if ($years === 0 || $ups === [] || $failed <= self::OFTEN * $years + Tolerance::SUMS) {
            return null;
        }
        sort($ups);
        $ready = $sown->plus((int) ceil(Quantile::of($ups, self::LATE) ?? 0.0));

        return [
            'years' => $years,
            'failed' => $failed,
            'start' => $ready->plus(-$weeks->days())->iso(),
            'ready' => $ready->iso(),
            'until' => self::until($replay, $crop, $ready)?->iso(),
            'per_metre' => round(SeedNeed::ofSpares($crop, 1.0, 1)->plants, 1),
        ];
    }

    /**
     * The dates for a sowing on a given day, around that day of the year.
     *
     * @param  Spares  $spares
     * @return array{start: Day, ready: Day, until: Day|null}
     */
    public static function about(Day $sown, array $spares): array
    {
        $ready = self::next($sown, $spares['ready']);
        $start = self::next($ready->plus(-YearDay::YEAR), $spares['start']);

        return [
            'start' => $start,
            'ready' => $ready,
            'until' => $spares['until'] === null ? null : self::next($ready, $spares['until']),
        ];
    }

    /** @return Day the first day with that name, from a day on */
    private static function next(Day $from, string $name): Day
    {
        $named = YearDay::fromIso($name)->monthAndDay();
        $day = Day::of($from->year(), ...$named);

        return $day->isBefore($from) ? Day::of($from->year() + 1, ...$named) : $day;
    }

    /** The last day, counted from one, on which transplanting has a fair chance without a break. */
    private static function until(Replay $replay, Crop $crop, YearDay $ready): ?YearDay
    {
        $runs = $replay->runs($crop, Route::Transplant);
        $last = null;
        for ($i = 0; $i < YearDay::YEAR; $i++) {
            $day = $ready->plus($i);
            $all = $runs->all($day->number);
            $harvests = array_filter($all, static fn ($run): bool => $run->outcome === Outcome::Harvest);
            if ($all === [] || count($harvests) < ProofStandard::FAIR * count($all) - Tolerance::SUMS) {
                break;
            }
            $last = $day;
        }

        return $last;
    }
}
