<?php

declare(strict_types=1);

namespace Anthesis\Record;

use InvalidArgumentException;

/**
 * One daily series for a place from several stations. Where the first has no value, the next in order supplies it, adjusted to the place's
 * elevation and, from the days they share, to the level of the stations before it.
 *
 * The bias is the median difference on shared days, separately for minima and maxima; it takes a month of them. Rain and snow are used as
 * measured.
 */
final readonly class FilledRecord
{
    /** With fewer shared days, no bias is estimated. */
    public const OVERLAP_NEEDED = 30;

    /**
     * @param  list<int|null>  $minimumFrom  for each day, which station (from 0) supplied the minimum; null: none
     * @param  list<int|null>  $maximumFrom  the same for the maximum
     * @param  list<StationFit>  $fits  in the order of the stations
     */
    private function __construct(public DailyRecord $record, public array $minimumFrom, public array $maximumFrom, public array $fits)
    {
    }

    /**
     * @param  list<StationSeries>  $stations  the primary one first
     *
     * @throws InvalidArgumentException without a station
     */
    public static function of(array $stations): self
    {
        if ($stations === []) {
            throw new InvalidArgumentException('A filled record needs at least one station.');
        }
        $first = min(array_map(static fn (StationSeries $s): int => $s->usable->first->number, $stations));
        $last = max(array_map(static fn (StationSeries $s): int => $s->usable->last()->number, $stations));
        $days = $last - $first + 1;
        $values = ['minimum' => array_fill(0, $days, null), 'maximum' => array_fill(0, $days, null)];
        $from = $values;
        $fits = [];
        foreach ($stations as $n => $station) {
            $offset = $station->usable->first->number - $first;
            $height = $station->heightCorrection();
            $series = ['minimum' => $station->usable->minimum, 'maximum' => $station->usable->maximum];
            $bias = [];
            foreach ($series as $element => $own) {
                $bias[$element] = $n === 0 || ! $station->matched ? null : self::bias($values[$element], $own, $offset, $height);
            }
            $overlap = $n === 0 ? 0 : self::overlap($values, $series, $offset);
            $given = ['minimum' => 0, 'maximum' => 0];
            foreach ($series as $element => $own) {
                $correction = $height + ($bias[$element] ?? 0.0);
                foreach ($own as $i => $value) {
                    if ($value !== null && $values[$element][$offset + $i] === null) {
                        // If nothing is added, the station's value must stay the same to the last bit.
                        $values[$element][$offset + $i] = $correction === 0.0 ? $value : round($value + $correction, 2);
                        $from[$element][$offset + $i] = $n;
                        $given[$element]++;
                    }
                }
            }
            $fits[] = new StationFit($height, $bias['minimum'], $bias['maximum'], $overlap, $given['minimum'], $given['maximum']);
        }

        return new self(
            new DailyRecord(
                Day::fromNumber($first),
                array_values($values['minimum']),
                array_values($values['maximum']),
                self::firstOf(Element::Rain, $stations, $first, $days),
                self::firstOf(Element::Snow, $stations, $first, $days),
            ),
            array_values($from['minimum']),
            array_values($from['maximum']),
            $fits,
        );
    }

    /**
     * @param  list<StationSeries>  $stations
     * @return list<float|null>|null each day's value from the first station that has one; null if none measures it
     */
    private static function firstOf(Element $element, array $stations, int $first, int $days): ?array
    {
        $values = null;
        foreach ($stations as $station) {
            $offset = $station->usable->first->number - $first;
            foreach ($station->usable->of($element) ?? [] as $i => $value) {
                $values ??= array_fill(0, $days, null);
                $values[$offset + $i] ??= $value;
            }
        }

        return $values === null ? null : array_values($values);
    }

    /** @return list<array{from: Day, to: Day, station: int}> runs of days on which a station other than the first supplied a value */
    public function filledIn(): array
    {
        $spans = [];
        $running = null;
        foreach ($this->minimumFrom as $i => $minimum) {
            $station = max($minimum ?? 0, $this->maximumFrom[$i] ?? 0);
            $day = $this->record->first->plus($i);
            if ($running !== null && $station === $running['station']) {
                $running['to'] = $day;

                continue;
            }
            if ($running !== null) {
                $spans[] = $running;
            }
            $running = $station === 0 ? null : ['from' => $day, 'to' => $day, 'station' => $station];
        }

        return $running === null ? $spans : [...$spans, $running];
    }

    /**
     * @param  array<int, float|null>  $before  values of the stations before it
     * @param  list<float|null>  $own
     * @return float|null median of theirs minus its own, °C; null with too few shared days
     */
    private static function bias(array $before, array $own, int $offset, float $height): ?float
    {
        $differences = [];
        foreach ($own as $i => $value) {
            $other = $before[$offset + $i];
            if ($value !== null && $other !== null) {
                $differences[] = $other - $value - $height;
            }
        }

        return count($differences) < self::OVERLAP_NEEDED ? null : Median::of($differences);
    }

    /**
     * @param  array{minimum: array<int, float|null>, maximum: array<int, float|null>}  $before
     * @param  array{minimum: list<float|null>, maximum: list<float|null>}  $own
     */
    private static function overlap(array $before, array $own, int $offset): int
    {
        $days = 0;
        foreach ($own['minimum'] as $i => $minimum) {
            $days +=
                $minimum !== null &&
                $own['maximum'][$i] !== null &&
                $before['minimum'][$offset + $i] !== null &&
                $before['maximum'][$offset + $i] !== null
                    ? 1
                    : 0;
        }

        return $days;
    }
}
