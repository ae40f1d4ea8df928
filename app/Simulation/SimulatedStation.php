<?php

declare(strict_types=1);

namespace App\Simulation;

use Anthesis\Record\Day;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A made-up weather station: the same seed gives the same weather, day for day. It has the faults real ones have, so quality control has
 * something to find: missing values, two gaps, five wrong readings. If its climate has rain, it also measures that and the depth of snow,
 * from separate random numbers, so the temperatures are the same with rain and without.
 */
final class SimulatedStation
{
    private const MISSING_SHARE = 0.004;

    private const RANGE_NOISE = 2.2;

    private const LEAST_RANGE = 2.0;

    private readonly Randomizer $random;

    public function __construct(private readonly SimulatedClimate $climate)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($climate->seed));
    }

    /** @return string the station's file: CSV with the columns date, tmin_c, tmax_c and, if it measures them, rain_mm, snow_cm */
    public function file(Day $first, Day $last): string
    {
        $rows = $this->weather($first, $last);
        $this->gap($rows, 8, 0.31);
        $this->gap($rows, 40, 0.58);
        $this->errors($rows);

        return self::csv($first, $rows, $this->water($rows, $first));
    }

    /**
     * The file of a nearby station that saw the same weather from another elevation, with a little noise of its own and no faults.
     *
     * @param  Day  $opened  the first day it was read
     * @param  float  $warmer  °C by which it reads warmer than this one
     */
    public function neighbour(Day $first, Day $last, Day $opened, float $warmer): string
    {
        $rows = array_slice($this->weather($first, $last), $opened->number - $first->number);
        foreach ($rows as $i => [$minimum, $maximum]) {
            $rows[$i] = [
                $minimum === null ? null : $minimum + $warmer + 0.6 * $this->normal(),
                $maximum === null ? null : $maximum + $warmer + 0.4 * $this->normal(),
            ];
        }

        return self::csv($opened, $rows);
    }

    /**
     * What it reports for some days: only the weather, without the faults of a file.
     *
     * @param  Day  $first  its first day ever
     */
    public function report(Day $first, Day $from, Day $to): string
    {
        $rows = $this->weather($first, $to);
        $since = $from->number - $first->number;

        return self::csv($from, array_slice($rows, $since), array_slice($this->water($rows, $first), $since));
    }

    /**
     * The weather of the next days, forecast less accurately with each day.
     *
     * @param  Day  $first  its first day ever
     * @return array{list<float>, list<float>, list<float>|null} minima and maxima, °C, and rain, mm; null: it measures none
     */
    public function outlook(Day $first, Day $from, int $days): array
    {
        $minimum = $maximum = $rain = [];
        $rows = $this->weather($first, $from->plus($days - 1));
        $since = $from->number - $first->number;
        $water = array_slice($this->water($rows, $first), $since);
        foreach (array_slice($rows, $since) as $i => [$low, $high]) {
            $off = 0.35 * ($i + 1) * $this->normal();
            $middle = (($low ?? $high) + ($high ?? $low)) / 2 + $off;
            $half = max(self::LEAST_RANGE, ($high ?? 0.0) - ($low ?? 0.0)) / 2;
            $minimum[] = round($middle - $half, 1);
            $maximum[] = round($middle + $half, 1);
            $rain[] = round(max(0.0, ($water[$i][0] ?? 0.0) * (1 + 0.12 * $i * $this->normal())), 1);
        }

        return [$minimum, $maximum, $this->climate->rain === null ? null : $rain];
    }

    /**
     * @param  list<array{float|null, float|null}>  $rows  minima and maxima, °C
     * @param  list<array{float|null, float}>  $water  rain, mm, and snow lying, cm; empty: not measured
     */
    private static function csv(Day $first, array $rows, array $water = []): string
    {
        $text = $water === [] ? "date,tmin_c,tmax_c\n" : "date,tmin_c,tmax_c,rain_mm,snow_cm\n";
        foreach ($rows as $i => [$minimum, $maximum]) {
            $text .= implode(',', [$first->plus($i)->iso(), ...array_map(self::cell(...), [$minimum, $maximum, ...$water[$i] ?? []])])."\n";
        }

        return $text;
    }

    /** @return list<array{float|null, float|null}> */
    private function weather(Day $first, Day $last): array
    {
        $c = $this->climate;
        $departure = $this->normal();
        $rows = [];
        for ($number = $first->number; $number <= $last->number; $number++) {
            $departure = $c->persistence * $departure + sqrt(1 - $c->persistence ** 2) * $this->normal();
            [$year] = Day::civil($number);
            $dayOfYear = $number - Day::numberOf($year, 1, 1) + 1;
            $season = cos((2 * M_PI * ($dayOfYear - $c->peak)) / 365.25);
            $mean =
                $c->mean +
                $c->amplitude * $season +
                ($c->deviation[0] - $c->deviation[1] * $season) * $departure +
                ($c->trend * ($number - $first->number)) / 3652.5 -
                $c->colder($year, $dayOfYear);
            $range = max(self::LEAST_RANGE, $c->range[0] + $c->range[1] * $season + self::RANGE_NOISE * $this->normal());
            $rows[] = [
                $this->uniform() < self::MISSING_SHARE ? null : $mean - $range / 2,
                $this->uniform() < self::MISSING_SHARE ? null : $mean + $range / 2,
            ];
        }

        return $rows;
    }

    /**
     * @param  list<array{float|null, float|null}>  $rows  minima and maxima, °C, from the first day ever on
     * @return list<array{float|null, float}> rain, mm, and depth of snow, cm; empty if it measures none
     */
    private function water(array $rows, Day $first): array
    {
        if ($this->climate->rain === null) {
            return [];
        }
        [$cold, $warm, $wetDay] = $this->climate->rain;
        $random = new Randomizer(new Xoshiro256StarStar($this->climate->seed + 1));
        $share = static fn (): float => $random->getInt(0, (1 << 53) - 1) / (1 << 53);
        $water = [];
        $wasWet = false;
        $pack = 0.0;
        foreach ($rows as $i => [$minimum, $maximum]) {
            $season = cos((2 * M_PI * (Day::yearDayOf($first->number + $i) - $this->climate->peak)) / 365.25);
            $chance = ($cold + $warm) / 2 + (($warm - $cold) / 2) * $season;
            // Wet days come in spells; over a year, there are just as many.
            $wasWet = $share() < ($wasWet ? $chance + 0.3 * (1 - $chance) : 0.7 * $chance);
            $rain = round(-$wetDay * log(1.0 - $share()), 1) * ($wasWet ? 1 : 0);
            $isMissing = $share() < self::MISSING_SHARE;
            $mean = (($minimum ?? $maximum ?? 5.0) + ($maximum ?? $minimum ?? 5.0)) / 2;
            $pack = max(0.0, ($mean <= 1.0 ? $pack + $rain : $pack) - 3 * max(0.0, $mean));
            $water[] = [$isMissing ? null : $rain, round(0.6 * $pack, 1)];
        }

        return $water;
    }

    /** @param  list<array{float|null, float|null}>  $rows */
    private function gap(array &$rows, int $days, float $where): void
    {
        $at = (int) (count($rows) * $where);
        for ($i = $at; $i < min($at + $days, count($rows)); $i++) {
            $rows[$i] = [null, null];
        }
    }

    /** @param  list<array{float|null, float|null}>  $rows */
    private function errors(array &$rows): void
    {
        foreach ([0.12, 0.27, 0.44, 0.71, 0.88] as $n => $where) {
            $i = (int) (count($rows) * $where);
            [$minimum, $maximum] = [$rows[$i][0] ?? 0.0, $rows[$i][1] ?? 8.0];
            $rows[$i] = match ($n) {
                0 => [$maximum, $minimum],
                1 => [$minimum, 88.8],
                2 => [$minimum - 40, $maximum],
                3 => [$minimum, $minimum - 0.6],
                default => [$minimum, $maximum + 38],
            };
        }
    }

    private static function cell(?float $value): string
    {
        return $value === null ? '' : number_format($value, 1, '.', '');
    }

    /** @return float 0 ≤ x < 1, of 53 bits */
    private function uniform(): float
    {
        return $this->random->getInt(0, (1 << 53) - 1) / (1 << 53);
    }

    private function normal(): float
    {
        $u = 1.0 - $this->uniform();

        return sqrt(-2 * log($u)) * cos(2 * M_PI * $this->uniform());
    }
}
