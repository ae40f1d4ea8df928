<?php

declare(strict_types=1);

namespace Anthesis\Water;

use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Ground;

/**
 * The days on which ground can be worked: thawed, bare, and its top 10 cm dry enough.
 */
final readonly class Workable
{
    private const DEPTH = 0.10;

    /** Ground is frozen at or below this, °C. */
    public const FROZEN_AT = 0.5;

    /** Days in a row that count as a start. */
    private const RUNNING = 3;

    /** Days from midwinter within which a year's first workable day may start. */
    private const HALF_YEAR = 182;

    /**
     * @param  list<float>  $dried  mm gone from the top in the evening, by day of the record
     * @param  list<bool>  $days  whether it can be worked
     */
    private function __construct(private WaterDays $water, public array $dried, public array $days)
    {
    }

    public static function of(WaterDays $water, Ground $ground): self
    {
        $top = new TopSoil($ground, self::DEPTH);
        $enough = $ground->shareToDry * $top->most - Tolerance::SUMS;
        $gone = 0.0;
        $dried = $days = [];
        foreach ($water->et0 as $i => $et0) {
            $closed = $water->soil[$i] <= self::FROZEN_AT || $water->covered[$i];
            $dried[] = $gone = $closed ? $top->wetted($gone, $water->reaching[$i]) : $top->dried($gone, $water->reaching[$i], $et0);
            $days[] = ! $closed && $water->isTold[$i] && $gone >= $enough;
        }

        return new self($water, $dried, $days);
    }

    public function count(): int
    {
        return count(array_filter($this->days));
    }

    /**
     * @return array<int, YearDay|null> by year: the first of three workable days in a row, within the 182 days from January 1 (north) or
     *   July 1 (south); null: none. Years whose half is not on record, or has a long gap, or lacks precipitation on more than one day in
     *   ten, are left out
     */
    public function first(Latitude $latitude): array
    {
        $midwinter = $latitude->yearStart();
        $last = count($this->days) - 1;
        $length = self::HALF_YEAR + self::RUNNING - 1;
        $first = [];
        $from = $this->water->first->year();
        $to = $this->water->first->plus($last)->year();
        for ($year = $from; $year <= $to; $year++) {
            $start = Day::fromIso(sprintf('%04d-%s', $year, $midwinter->iso()))->number - $this->water->first->number;
            $end = $start + $length - 1;
            if (
                $start < 0 ||
                $end > $last ||
                in_array(false, array_slice($this->water->isTold, $start, $length), true) ||
                ! $this->water->knowsRain($start, $end)
            ) {
                continue;
            }
            $first[$year] = $this->begins($start);
        }

        return $first;
    }

    private function begins(int $start): ?YearDay
    {
        $running = 0;
        for ($i = $start; $i < $start + self::HALF_YEAR + self::RUNNING - 1; $i++) {
            $running = $this->days[$i] ? $running + 1 : 0;
            if ($running === self::RUNNING) {
                return $this->water->first->plus($i - self::RUNNING + 1)->yearDay();
            }
        }

        return null;
    }

    /**
     * @return list<float|null> length 365: share of the years in which sow day i+1 can be worked, averaged over seven days; null: not on
     *   record
     */
    public function shares(): array
    {
        $workable = $told = array_fill(0, YearDay::YEAR, 0);
        foreach ($this->days as $i => $can) {
            if ($this->water->isTold[$i]) {
                $day = Day::yearDayOf($this->water->first->number + $i) - 1;
                $told[$day]++;
                $workable[$day] += $can ? 1 : 0;
            }
        }
        $shares = [];
        for ($day = 0; $day < YearDay::YEAR; $day++) {
            $sum = $n = 0;
            for ($j = -3; $j <= 3; $j++) {
                $other = ($day + $j + YearDay::YEAR) % YearDay::YEAR;
                if ($told[$other] > 0) {
                    $sum += $workable[$other] / $told[$other];
                    $n++;
                }
            }
            $shares[] = $n === 0 ? null : $sum / $n;
        }

        return $shares;
    }
}
