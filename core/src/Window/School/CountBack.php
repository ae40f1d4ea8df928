<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Window\Derivation;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\Reason;
use Anthesis\Window\ReasonSpan;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowFinder;
use Anthesis\Words\Phrase;

/**
 * Planting windows by counting back from the frost, as most growers learn it.
 *
 * Days are figured as offsets from the first day of the cold season, so spring (offsets around 250) always comes before the fall that
 * follows it (365 and up), and no hemisphere is a special case. Dates are rounded to the safe side: up for the end of freezes, down for
 * their return, up for days to maturity.
 */
final readonly class CountBack implements School
{
    public const KEY = 'count-back';

    /** Maturity on days shorter than this gets the short-day allowance, hours. */
    private const SHORT_DAY = 12.0;

    /** Fall bulbs are planted between these numbers of weeks before the soil falls to PLANTING_SOIL. */
    private const BULB_WEEKS = [6, 2];

    private const PLANTING_SOIL = 4.0;

    /** If the soil never falls to PLANTING_SOIL: six weeks from the day it falls below this, °C. */
    private const MILD_PLANTING_SOIL = 16.0;

    private YearDay $seasonStart;

    /** Offset of the day on which the ruler starts. */
    private int $yearStart;

    public function __construct(private PlaceEvidence $place, private CountBackSettings $settings)
    {
        $this->seasonStart = $place->latitude->coldSeasonStart();
        $this->yearStart = $this->seasonStart->daysUntil($place->latitude->yearStart());
    }

    public static function on(Grounds $grounds): self
    {
        return new self($grounds->place, $grounds->settings);
    }

    public function asksProof(): bool
    {
        return false;
    }

    public function windows(Crop $crop, ProofStandard $standard = ProofStandard::Reliable): array
    {
        if ($crop->isAutumnPlantedBulb()) {
            return [$this->autumnPlanted($crop)];
        }
        $routes = [];
        foreach ($crop->routes as $route) {
            if ($crop->springWeeks($route) !== null) {
                $routes[] = $this->betweenFreezes($crop, $route, $crop->springWeeks($route));
            }
        }

        return $routes;
    }

    private function betweenFreezes(Crop $crop, Route $route, float $springWeeks): RouteWindows
    {
        $derivation = new Derivation();
        $maturity = new Maturity($crop);
        $days = (int) ceil($maturity->days($route) - Tolerance::SUMS);
        $soilMinimum = $this->settings->holdForSoil ? $crop->soilMinimum($route) : null;

        [$frostStart, $start] = $this->springStart($crop, $route, $springWeeks, $soilMinimum, $derivation);
        [$end, $firstFreeze] = $this->lastSowing($crop, $route, $days, $maturity, $derivation);
        $hot = $this->sowingsThatMeetHeat($crop, $days);

        $from = $start ?? $this->yearStart;
        $open = array_fill(0, YearDay::YEAR, false);
        $reasons = array_fill(0, YearDay::YEAR, null);
        $lastDay = min($end ?? PHP_INT_MAX, $from + YearDay::YEAR - 1);
        $nextYear = $this->yearStart + YearDay::YEAR * max(0, intdiv($lastDay - $this->yearStart, YearDay::YEAR) + 1);
        $soil = $this->place->soil->values;
        $soilCloses = ($end === null || $start === null) && $soilMinimum !== null;
        for ($offset = $from; $offset < $from + YearDay::YEAR; $offset++) {
            $day = ($this->seasonStart->number - 1 + $offset) % YearDay::YEAR;
            $reason = match (true) {
                $offset > $lastDay => $this->reasonAfter($offset, $nextYear, $from, $frostStart),
                // If no freeze closes the fall, the soil does; it is waited for as in spring.
                $soilCloses && $soil[$day] < $soilMinimum => Reason::ColdSoil,
                $hot[$day] => Reason::Heat,
                default => null,
            };
            $open[$day] = $reason === null;
            $reasons[$day] = $reason;
        }
        $windows = WindowFinder::runs(array_values($open), $this->place->latitude->yearStart());
        $this->writeHeat($crop, $days, $reasons, $derivation);
        $underCover = $this->underCover($crop, $route, $windows, $derivation);
        if ($windows === []) {
            $derivation->write(
                'none',
                Phrase::of('derivation.season-too-short'),
                null,
                $end !== null && $end < $from ? $end - $from : null,
                Phrase::of('source.lines-above'),
            );
        } elseif ($windows[0]->isAllYear()) {
            $derivation->write('all-year', Phrase::of('derivation.nothing-closes-it'), null, null, Phrase::of('source.lines-above'));
        }

        return new RouteWindows(
            $route,
            $windows,
            $underCover,
            array_map(fn (SowingWindow $w): SowingWindow => $this->harvest($w, $days, $crop->harvest->days, $firstFreeze), $windows),
            ReasonSpan::of(array_values($reasons), $this->place->latitude->yearStart()),
            $derivation->lines(),
        );
    }

    /** @return array{int|null, int|null} the offset at which freezes allow it, and the one after waiting for soil; null: not limited */
    private function springStart(Crop $crop, Route $route, float $weeks, ?float $soilMinimum, Derivation $derivation): array
    {
        $freezes = $this->place->freeze(FreezeThreshold::LightFreeze);
        $last = $freezes->lastAtRisk($this->settings->springRisk);
        $limit = Phrase::celsius(FreezeThreshold::LightFreeze->celsius());
        $source = self::seasons($freezes);
        $start = null;
        if ($last === null) {
            $derivation->write('last-freeze', Phrase::of('derivation.no-last-freeze', ['limit' => $limit]), null, null, $source);
        } else {
            $lastDay = (int) ceil($last);
            $lead = (int) round(7 * $weeks);
            $start = $lastDay + $lead;
            $derivation->write(
                'last-freeze',
                Phrase::of('derivation.last-freeze', ['limit' => $limit, 'risk' => $this->settings->springRisk->phrase()]),
                $this->day($lastDay),
                null,
                $source,
            );
            $derivation->write(
                'spring-lead',
                Phrase::of(
                    'derivation.'.
                        match (true) {
                            $weeks < 0.0 => 'weeks-before',
                            $weeks > 0.0 => 'weeks-after',
                            default => 'on-last-freeze',
                        },
                    ['weeks' => abs($weeks)],
                ),
                $this->day($start),
                $lead,
                Phrase::of("source.convention-{$route->value}"),
            );
        }
        $held = $soilMinimum === null ? $start : $this->heldForSoil($start, $soilMinimum, $derivation);
        if ($held !== null) {
            $derivation->write(
                'first',
                Phrase::of('derivation.first', ['act' => self::act($crop, $route)]),
                $this->day($held),
                null,
                Phrase::of('source.later-of-lines'),
            );
        }

        return [$start, $held];
    }

    private function heldForSoil(?int $start, float $soilMinimum, Derivation $derivation): ?int
    {
        $soil = $this->place->soil->values;
        $asked = ['depth' => (int) round(100 * $this->place->site->depth), 'soil' => Phrase::celsius($soilMinimum)];
        $source = $this->soilModel();
        if ($start === null && min($soil) >= $soilMinimum) {
            $derivation->write('soil', Phrase::of('derivation.soil-all-year', $asked), null, null, $source);

            return null;
        }
        $from = $start ?? $this->yearStart;
        for ($wait = 0; $wait < YearDay::YEAR; $wait++) {
            if ($soil[$this->day($from + $wait)->number - 1] >= $soilMinimum) {
                $derivation->write(
                    'soil',
                    Phrase::of($wait === 0 ? 'derivation.soil-by-then' : 'derivation.soil-hold', $asked),
                    $this->day($from + $wait),
                    $wait,
                    $source,
                );

                return $from + $wait;
            }
        }
        $derivation->write('soil', Phrase::of('derivation.soil-never', $asked), null, null, $source);

        // Nothing is open: the year starts after the last day on which it could end.
        return $from + 2 * YearDay::YEAR;
    }

    private static function killing(Crop $crop): FreezeThreshold
    {
        return match (true) {
            $crop->hardiness->killC >= -1.0 => FreezeThreshold::LightFreeze,
            $crop->hardiness->killC >= -3.0 => FreezeThreshold::KillingFreeze,
            default => FreezeThreshold::SevereFreeze,
        };
    }

    /** @return array{int|null, int|null} offset of the last sowing and of the first freeze, null: not limited by cold */
    private function lastSowing(Crop $crop, Route $route, int $days, Maturity $maturity, Derivation $derivation): array
    {
        $threshold = self::killing($crop);
        $freezes = $this->place->freeze($threshold);
        $first = $freezes->firstAtRisk($this->settings->autumnRisk);
        $limit = Phrase::celsius($threshold->celsius());
        $source = self::seasons($freezes);
        if ($first === null) {
            $derivation->write('first-freeze', Phrase::of('derivation.no-first-freeze', ['limit' => $limit]), null, null, $source);

            return [null, null];
        }
        $freeze = YearDay::YEAR + (int) floor($first);
        $derivation->write(
            'first-freeze',
            Phrase::of('derivation.first-freeze', ['limit' => $limit, 'risk' => $this->settings->autumnRisk->phrase()]),
            $this->day($freeze),
            null,
            $source,
        );
        $mature = $freeze - $crop->harvest->leastDays;
        $derivation->write(
            'harvest',
            Phrase::of('derivation.least-harvest'),
            $this->day($mature),
            -$crop->harvest->leastDays,
            Phrase::of('source.least-harvest'),
        );
        $sow = $mature - $days;
        $derivation->write(
            'maturity',
            Phrase::of('derivation.maturity', ['days' => $maturity->phrase($route)]),
            $this->day($sow),
            -$days,
            Phrase::of('source.maturity'),
        );
        $hours = $this->place->dayLength[$this->day($mature)->number - 1];
        if ($hours < self::SHORT_DAY && $this->settings->shortDayAllowance > 0) {
            $sow -= $this->settings->shortDayAllowance;
            $minutes = (int) round(60 * $hours);
            $derivation->write(
                'short-days',
                Phrase::of('derivation.short-days', ['hours' => intdiv($minutes, 60), 'minutes' => $minutes % 60]),
                $this->day($sow),
                -$this->settings->shortDayAllowance,
                Phrase::of('source.short-days'),
            );
        }
        $derivation->write(
            'last',
            Phrase::of('derivation.last', ['act' => self::act($crop, $route)]),
            $this->day($sow),
            null,
            Phrase::of('source.lines-above'),
        );

        return [$sow, $freeze];
    }

    /**
     * Sow days from which a crop would meet a normal maximum ≥ heat_c between heat_from of its days and maturity.
     *
     * @return non-empty-list<bool> length 365
     */
    private function sowingsThatMeetHeat(Crop $crop, int $days): array
    {
        $hotBefore = [0];
        for ($i = 0; $i < 3 * YearDay::YEAR; $i++) {
            $hotBefore[] = $hotBefore[$i] + ($this->place->maximum->values[$i % YearDay::YEAR] >= $crop->heat->maximumC ? 1 : 0);
        }
        $from = (int) ceil($crop->heat->fromShare * $days - Tolerance::SUMS);
        $meets = [];
        for ($sow = 0; $sow < YearDay::YEAR; $sow++) {
            $meets[] = $hotBefore[$sow + $days + 1] > $hotBefore[$sow + $from];
        }

        return $meets;
    }

    /** @param  array<int, Reason|null>  $reasons length 365 */
    private function writeHeat(Crop $crop, int $days, array $reasons, Derivation $derivation): void
    {
        $taken = array_map(static fn (?Reason $r): bool => $r === Reason::Heat, array_values($reasons));
        foreach (WindowFinder::runs($taken, $this->place->latitude->yearStart()) as $run) {
            $derivation->write(
                'heat',
                Phrase::of('derivation.heat', [
                    'until' => Phrase::day($run->last),
                    'from' => (int) ceil($crop->heat->fromShare * $days - Tolerance::SUMS),
                    'to' => $days,
                    'maximum' => Phrase::celsius($crop->heat->maximumC),
                ]),
                $run->first,
                $run->days,
                Phrase::of('source.heat'),
            );
        }
    }

    private function reasonAfter(int $offset, int $nextYear, int $from, ?int $frostStart): Reason
    {
        if ($frostStart !== null && $offset - YearDay::YEAR >= $frostStart && $offset - YearDay::YEAR < $from) {
            return Reason::ColdSoil;
        }

        return $offset < $nextYear ? Reason::TooLate : ($frostStart === null ? Reason::ColdSoil : Reason::FreezeToCome);
    }

    /**
     * @param  list<SowingWindow>  $windows
     * @return list<SowingWindow>
     */
    private function underCover(Crop $crop, Route $route, array $windows, Derivation $derivation): array
    {
        if ($route !== Route::Transplant || $crop->underCover->weeks === null) {
            return [];
        }
        $weeks = $crop->underCover->weeks;
        foreach (array_slice($windows, 0, 1) as $window) {
            $derivation->write(
                'under-cover',
                Phrase::of('derivation.under-cover', [
                    'usual' => (float) $weeks->usual,
                    'least' => (float) $weeks->least,
                    'most' => (float) $weeks->most,
                ]),
                $window->first->plus(-$weeks->days()),
                -$weeks->days(),
                Phrase::of('source.under-cover'),
            );
        }

        return array_map(static fn (SowingWindow $w): SowingWindow => $w->shifted(-$weeks->days()), $windows);
    }

    private function harvest(SowingWindow $window, int $days, int $harvestDays, ?int $firstFreeze): SowingWindow
    {
        $first = $this->offset($window->first) + $days;
        $last = $first + $window->days - 1 + $harvestDays;
        if ($firstFreeze !== null) {
            // The freeze that ends this harvest is the first one after it starts.
            $freeze = $firstFreeze + YearDay::YEAR * (int) ceil(($first - $firstFreeze) / YearDay::YEAR);
            $last = min($last, $freeze);
        }

        return new SowingWindow($this->day($first), $this->day(min($last, $first + YearDay::YEAR - 1)));
    }

    private function autumnPlanted(Crop $crop): RouteWindows
    {
        $derivation = new Derivation();
        $source = $this->soilModel();
        $cold = $this->soilFallsTo(self::PLANTING_SOIL, $derivation, 'derivation.soil-falls-to', $source);
        $windows = [];
        if ($cold !== null) {
            [$first, $last] = [$cold->plus(-7 * self::BULB_WEEKS[0]), $cold->plus(-7 * self::BULB_WEEKS[1])];
            $derivation->write(
                'first',
                Phrase::of('derivation.plant-from', ['weeks' => self::BULB_WEEKS[0]]),
                $first,
                -7 * self::BULB_WEEKS[0],
                Phrase::of('source.convention'),
            );
            $derivation->write(
                'last',
                Phrase::of('derivation.plant-until', ['weeks' => self::BULB_WEEKS[1]]),
                $last,
                -7 * self::BULB_WEEKS[1],
                Phrase::of('source.convention'),
            );
            $windows = [new SowingWindow($first, $last)];
        } else {
            $mild = $this->soilFallsTo(self::MILD_PLANTING_SOIL, $derivation, 'derivation.soil-falls-below', $source);
            if ($mild !== null) {
                $windows = [new SowingWindow($mild, $mild->plus(7 * 6 - 1))];
                $derivation->write(
                    'last',
                    Phrase::of('derivation.plant-for', ['weeks' => 6]),
                    $windows[0]->last,
                    7 * 6 - 1,
                    Phrase::of('source.convention'),
                );
            } else {
                $derivation->write('none', Phrase::of('derivation.never-cools'), null, null, $source);
            }
        }
        $reasons = [];
        for ($day = 1; $day <= YearDay::YEAR; $day++) {
            $inside = $windows !== [] && $windows[0]->contains(YearDay::fromNumber($day));
            $reasons[] = $inside ? null : Reason::NotYetPlantingTime;
        }

        return new RouteWindows(
            Route::Direct,
            $windows,
            [],
            [],
            ReasonSpan::of($reasons, $this->place->latitude->yearStart()),
            $derivation->lines(),
        );
    }

    /** The first day after the soil's warmest on which its normal is at or below a temperature; null: never, or always. */
    private function soilFallsTo(float $celsius, Derivation $derivation, string $key, Phrase $source): ?YearDay
    {
        $soil = $this->place->soil->values;
        $warmest = (int) array_search(max($soil), $soil, true);
        if ($soil[$warmest] > $celsius) {
            for ($i = 1; $i < YearDay::YEAR; $i++) {
                $day = YearDay::wrap($warmest + 1 + $i);
                $normal = $soil[$day->number - 1];
                if ($celsius === self::MILD_PLANTING_SOIL ? $normal < $celsius : $normal <= $celsius) {
                    $derivation->write('soil', Phrase::of($key, ['soil' => Phrase::celsius($celsius)]), $day, null, $source);

                    return $day;
                }
            }
        }
        $derivation->write('soil', Phrase::of("{$key}-never", ['soil' => Phrase::celsius($celsius)]), null, null, $source);

        return null;
    }

    private function day(int $offset): YearDay
    {
        return $this->seasonStart->plus($offset);
    }

    private function offset(YearDay $day): int
    {
        return $this->seasonStart->daysUntil($day);
    }

    private static function act(Crop $crop, Route $route): Phrase
    {
        return Phrase::of("act.{$crop->act($route)->value}");
    }

    private function soilModel(): Phrase
    {
        return Phrase::of('source.soil-model', ['site' => $this->place->site->name]);
    }

    private static function seasons(FreezeStatistics $freezes): Phrase
    {
        $seasons = $freezes->seasons;

        return Phrase::of('source.cold-seasons', [
            'seasons' => count($seasons),
            'first' => $seasons[0]->season,
            'last' => $seasons[count($seasons) - 1]->season,
        ]);
    }
}
