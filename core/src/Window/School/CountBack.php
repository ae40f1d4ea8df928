<?php

declare(strict_types=1);

namespace Anthesis\Window\School;

use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\SowDay;
use Anthesis\Window\Derivation;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\Reason;
use Anthesis\Window\ReasonSpan;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowFinder;

/**
 * Sowing windows by counting back from the frost, as most growers learn it.
 *
 * Days are reckoned as offsets from the first day of the cold season, so that a spring (offsets around 250) always comes
 * before the autumn that follows it (365 and on) and no hemisphere is a special case. Dates are rounded to the safe side:
 * up for the end of freezes, down for their return, up for days to maturity.
 */
final readonly class CountBack implements School
{
    public const KEY = 'count-back';

    /** Maturity on days shorter than this takes the short-day allowance, hours. */
    private const SHORT_DAY = 12.0;

    /** Weeks before the soil falls to PLANTING_SOIL between which autumn bulbs are planted. */
    private const BULB_WEEKS = [6, 2];

    private const PLANTING_SOIL = 4.0;

    /** Where the soil never falls to PLANTING_SOIL: six weeks from the day it falls below this, °C. */
    private const MILD_PLANTING_SOIL = 16.0;

    private SowDay $seasonStart;

    /** Offset of midwinter, where the ruler starts. */
    private int $midwinter;

    public function __construct(private PlaceEvidence $place, private CountBackSettings $settings)
    {
        $this->seasonStart = $place->latitude->coldSeasonStart();
        $this->midwinter = $this->seasonStart->daysUntil($place->latitude->midwinter());
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
        $derivation = new Derivation;
        $maturity = new Maturity($crop);
        $days = (int) ceil($maturity->days($route) - 1e-9);
        $soilMinimum = $this->settings->holdForSoil ? $crop->soilMinimum($route) : null;

        [$frostStart, $start] = $this->springStart($route, $springWeeks, $soilMinimum, $derivation);
        [$end, $firstFreeze] = $this->lastSowing($crop, $route, $days, $maturity, $derivation);
        $hot = $this->sowingsThatMeetHeat($crop, $days);

        $from = $start ?? $this->midwinter;
        $open = array_fill(0, SowDay::YEAR, false);
        $reasons = array_fill(0, SowDay::YEAR, null);
        $lastDay = min($end ?? PHP_INT_MAX, $from + SowDay::YEAR - 1);
        $nextMidwinter = $this->midwinter + SowDay::YEAR * max(0, intdiv($lastDay - $this->midwinter, SowDay::YEAR) + 1);
        $soil = $this->place->soil->values;
        $soilCloses = ($end === null || $start === null) && $soilMinimum !== null;
        for ($offset = $from; $offset < $from + SowDay::YEAR; $offset++) {
            $day = ($this->seasonStart->number - 1 + $offset) % SowDay::YEAR;
            $reason = match (true) {
                $offset > $lastDay => $this->reasonAfter($offset, $nextMidwinter, $from, $frostStart),
                // Where no freeze closes the autumn, the soil does: it is held for as in spring.
                $soilCloses && $soil[$day] < $soilMinimum => Reason::ColdSoil,
                $hot[$day] => Reason::Heat,
                default => null,
            };
            $open[$day] = $reason === null;
            $reasons[$day] = $reason;
        }
        $windows = WindowFinder::runs(array_values($open), $this->place->latitude->midwinter());
        $this->writeHeat($crop, $days, $reasons, $derivation);
        $underCover = $this->underCover($crop, $route, $windows, $derivation);
        if ($windows === []) {
            $derivation->write('none', 'No window: the season is too short here', null,
                $end !== null && $end < $from ? $end - $from : null, 'the lines above');
        } elseif ($windows[0]->isAllYear()) {
            $derivation->write('all-year', 'Open all year: neither cold nor heat closes it', null, null, 'the lines above');
        }

        return new RouteWindows(
            $route,
            $windows,
            $underCover,
            array_map(fn (SowingWindow $w): SowingWindow => $this->harvest($w, $days, $crop->harvest->days, $firstFreeze), $windows),
            ReasonSpan::of(array_values($reasons), $this->place->latitude->midwinter()),
            $derivation->lines(),
        );
    }

    /**
     * @return array{int|null, int|null} the offset at which freezes allow it and the one held for soil, null: not limited
     */
    private function springStart(Route $route, float $weeks, ?float $soilMinimum, Derivation $derivation): array
    {
        $freezes = $this->place->freeze(FreezeThreshold::LightFreeze);
        $last = $freezes->lastAtRisk($this->settings->springRisk);
        $source = $this->seasonsInWords($freezes);
        $start = null;
        if ($last === null) {
            $derivation->write('last-freeze', 'No freeze (0 °C) to wait for at this risk', null, null, $source);
        } else {
            $lastDay = (int) ceil($last);
            $lead = (int) round(7 * $weeks);
            $start = $lastDay + $lead;
            $derivation->write('last-freeze', 'Last freeze (0 °C), later in '.$this->settings->springRisk->inWords(),
                $this->day($lastDay), null, $source);
            $derivation->write('spring-lead', self::weeksInWords($weeks).' the last freeze', $this->day($start), $lead,
                'crop table: conventional weeks, '.($route === Route::Direct ? 'sowing' : 'setting out'));
        }
        $held = $soilMinimum === null ? $start : $this->heldForSoil($start, $soilMinimum, $derivation);
        if ($held !== null) {
            $derivation->write('first', 'First day to '.$route->act(), $this->day($held), null, 'the later of the lines above');
        }

        return [$start, $held];
    }

    private function heldForSoil(?int $start, float $soilMinimum, Derivation $derivation): ?int
    {
        $soil = $this->place->soil->values;
        $asked = 'soil at '.round(100 * $this->place->site->depth).' cm reaches '.self::degrees($soilMinimum);
        $source = 'soil model, '.$this->place->site->name.', normal of the record';
        if ($start === null && min($soil) >= $soilMinimum) {
            $derivation->write('soil', "Normal {$asked} all year", null, null, $source);

            return null;
        }
        $from = $start ?? $this->midwinter;
        for ($wait = 0; $wait < SowDay::YEAR; $wait++) {
            if ($soil[$this->day($from + $wait)->number - 1] >= $soilMinimum) {
                $derivation->write('soil', $wait === 0 ? "Normal {$asked} by then" : "Hold until normal {$asked}",
                    $this->day($from + $wait), $wait, $source);

                return $from + $wait;
            }
        }
        $derivation->write('soil', "Normal soil never reaches {$soilMinimum} °C", null, null, $source);

        // Nothing is open: the year starts after the last day on which it could end.
        return $from + 2 * SowDay::YEAR;
    }

    /** @return array{int|null, int|null} offset of the last sowing and of the first freeze, null: not limited by cold */
    private function lastSowing(Crop $crop, Route $route, int $days, Maturity $maturity, Derivation $derivation): array
    {
        $threshold = match (true) {
            $crop->hardiness->killC >= -1.0 => FreezeThreshold::LightFreeze,
            $crop->hardiness->killC >= -3.0 => FreezeThreshold::KillingFreeze,
            default => FreezeThreshold::SevereFreeze,
        };
        $freezes = $this->place->freeze($threshold);
        $first = $freezes->firstAtRisk($this->settings->autumnRisk);
        $limit = self::degrees($threshold->celsius());
        $source = $this->seasonsInWords($freezes);
        if ($first === null) {
            $derivation->write('first-freeze', "No freeze ({$limit}) at this risk: not limited by cold", null, null, $source);

            return [null, null];
        }
        $freeze = SowDay::YEAR + (int) floor($first);
        $derivation->write('first-freeze', "First freeze ({$limit}), earlier in ".$this->settings->autumnRisk->inWords(),
            $this->day($freeze), null, $source);
        $mature = $freeze - $crop->harvest->leastDays;
        $derivation->write('harvest', 'Shortest harvest worth having', $this->day($mature), -$crop->harvest->leastDays,
            'crop table: shortest harvest');
        $sow = $mature - $days;
        $derivation->write('maturity', 'Days to maturity: '.$maturity->inWords($route), $this->day($sow), -$days,
            'crop table: days to maturity');
        $hours = $this->place->dayLength[$this->day($mature)->number - 1];
        if ($hours < self::SHORT_DAY && $this->settings->shortDayAllowance > 0) {
            $sow -= $this->settings->shortDayAllowance;
            $derivation->write('short-days', 'Short days: '.self::hours($hours).' long at maturity', $this->day($sow),
                -$this->settings->shortDayAllowance, 'day length; allowance where days are under 12 h');
        }
        $derivation->write('last', 'Last day to '.$route->act(), $this->day($sow), null, 'the lines above');

        return [$sow, $freeze];
    }

    /**
     * Sow days from which a crop would meet, between heat_from of its days and maturity, a normal maximum ≥ heat_c.
     *
     * @return non-empty-list<bool> length 365
     */
    private function sowingsThatMeetHeat(Crop $crop, int $days): array
    {
        $hotBefore = [0];
        for ($i = 0; $i < 3 * SowDay::YEAR; $i++) {
            $hotBefore[] = $hotBefore[$i] + ($this->place->maximum->values[$i % SowDay::YEAR] >= $crop->heat->maximumC ? 1 : 0);
        }
        $from = (int) ceil($crop->heat->fromShare * $days - 1e-9);
        $meets = [];
        for ($sow = 0; $sow < SowDay::YEAR; $sow++) {
            $meets[] = $hotBefore[$sow + $days + 1] > $hotBefore[$sow + $from];
        }

        return $meets;
    }

    /** @param  array<int, Reason|null>  $reasons length 365 */
    private function writeHeat(Crop $crop, int $days, array $reasons, Derivation $derivation): void
    {
        $taken = array_map(static fn (?Reason $r): bool => $r === Reason::Heat, array_values($reasons));
        foreach (WindowFinder::runs($taken, $this->place->latitude->midwinter()) as $run) {
            $derivation->write('heat', 'Taken out until '.$run->last->inWords().': day '
                .(int) ceil($crop->heat->fromShare * $days - 1e-9)." to {$days} of its growth would meet normal maxima of "
                .self::degrees($crop->heat->maximumC).' or more', $run->first, $run->days, 'crop table: heat limit; normal maximum of the record');
        }
    }

    private function reasonAfter(int $offset, int $nextMidwinter, int $from, ?int $frostStart): Reason
    {
        if ($frostStart !== null && $offset - SowDay::YEAR >= $frostStart && $offset - SowDay::YEAR < $from) {
            return Reason::ColdSoil;
        }

        return $offset < $nextMidwinter ? Reason::TooLate : ($frostStart === null ? Reason::ColdSoil : Reason::FreezeToCome);
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
            $derivation->write('under-cover', sprintf('Start under cover %s weeks (%s to %s) before the first setting out',
                (float) $weeks->usual, (float) $weeks->least, (float) $weeks->most),
                $window->first->plus(-$weeks->days()), -$weeks->days(), 'crop table: weeks under cover');
        }

        return array_map(static fn (SowingWindow $w): SowingWindow => $w->shifted(-$weeks->days()), $windows);
    }

    private function harvest(SowingWindow $window, int $days, int $harvestDays, ?int $firstFreeze): SowingWindow
    {
        $first = $this->offset($window->first) + $days;
        $last = $first + $window->days - 1 + $harvestDays;
        if ($firstFreeze !== null) {
            // The freeze that ends this harvest is the first one after it begins.
            $freeze = $firstFreeze + SowDay::YEAR * (int) ceil(($first - $firstFreeze) / SowDay::YEAR);
            $last = min($last, $freeze);
        }

        return new SowingWindow($this->day($first), $this->day(min($last, $first + SowDay::YEAR - 1)));
    }

    private function autumnPlanted(Crop $crop): RouteWindows
    {
        $derivation = new Derivation;
        $source = 'soil model, '.$this->place->site->name.', normal of the record';
        $cold = $this->soilFallsTo(self::PLANTING_SOIL, $derivation, 'Normal soil first falls to 4 °C', $source);
        $windows = [];
        if ($cold !== null) {
            [$first, $last] = [$cold->plus(-7 * self::BULB_WEEKS[0]), $cold->plus(-7 * self::BULB_WEEKS[1])];
            $derivation->write('first', 'First day to plant: six weeks before', $first, -7 * self::BULB_WEEKS[0], 'convention');
            $derivation->write('last', 'Last day to plant: two weeks before', $last, -7 * self::BULB_WEEKS[1], 'convention');
            $windows = [new SowingWindow($first, $last)];
        } else {
            $mild = $this->soilFallsTo(self::MILD_PLANTING_SOIL, $derivation, 'Normal soil falls below 16 °C', $source);
            if ($mild !== null) {
                $windows = [new SowingWindow($mild, $mild->plus(7 * 6 - 1))];
                $derivation->write('last', 'Last day to plant: six weeks from then', $windows[0]->last, 7 * 6 - 1, 'convention');
            } else {
                $derivation->write('none', 'No window: the soil never cools enough here', null, null, $source);
            }
        }
        $reasons = [];
        for ($day = 1; $day <= SowDay::YEAR; $day++) {
            $inside = $windows !== [] && $windows[0]->contains(SowDay::fromNumber($day));
            $reasons[] = $inside ? null : Reason::NotYetPlantingTime;
        }

        return new RouteWindows(Route::Direct, $windows, [], [],
            ReasonSpan::of($reasons, $this->place->latitude->midwinter()), $derivation->lines());
    }

    /** The first day after the soil's warmest on which its normal is at or below a temperature; null: never, or always. */
    private function soilFallsTo(float $celsius, Derivation $derivation, string $label, string $source): ?SowDay
    {
        $soil = $this->place->soil->values;
        $warmest = (int) array_search(max($soil), $soil, true);
        if ($soil[$warmest] > $celsius) {
            for ($i = 1; $i < SowDay::YEAR; $i++) {
                $day = SowDay::wrap($warmest + 1 + $i);
                $normal = $soil[$day->number - 1];
                if ($celsius === self::MILD_PLANTING_SOIL ? $normal < $celsius : $normal <= $celsius) {
                    $derivation->write('soil', $label, $day, null, $source);

                    return $day;
                }
            }
        }
        $derivation->write('soil', $label.': never', null, null, $source);

        return null;
    }

    private function day(int $offset): SowDay
    {
        return $this->seasonStart->plus($offset);
    }

    private function offset(SowDay $day): int
    {
        return $this->seasonStart->daysUntil($day);
    }

    private function seasonsInWords(FreezeStatistics $freezes): string
    {
        $seasons = $freezes->seasons;

        return count($seasons).' cold seasons on record, '.$seasons[0]->season.' to '.$seasons[count($seasons) - 1]->season;
    }

    private static function weeksInWords(float $weeks): string
    {
        $count = abs($weeks);
        $unit = $count === 1.0 ? 'week' : 'weeks';

        return $weeks === 0.0 ? 'On' : $count.' '.$unit.($weeks < 0 ? ' before' : ' after');
    }

    private static function degrees(float $celsius): string
    {
        return str_replace('-', '−', (string) round($celsius, 1)).' °C';
    }

    private static function hours(float $hours): string
    {
        $minutes = (int) round(60 * $hours);

        return intdiv($minutes, 60).' h '.sprintf('%02d', $minutes % 60).' min';
    }
}
