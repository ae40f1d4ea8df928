<?php

declare(strict_types=1);

namespace Anthesis\Record;

use InvalidArgumentException;

/**
 * One continuous daily series of minimum and maximum air temperature at screen height, °C, and, if the station measures them, the day's
 * rain and the depth of snow.
 *
 * Day i of each list is the i-th day from the first. A missing value is null, never zero.
 */
final readonly class DailyRecord
{
    /**
     * @param  list<float|null>  $minimum  °C
     * @param  list<float|null>  $maximum  °C, same length as the minima
     * @param  list<float|null>|null  $rain  rain and melted snow, mm, same length; null: not measured
     * @param  list<float|null>|null  $snow  depth of snow, cm, same length; null: not measured
     *
     * @throws InvalidArgumentException if the lists are empty or differ in length
     */
    public function __construct(
        public Day $first,
        public array $minimum,
        public array $maximum,
        public ?array $rain = null,
        public ?array $snow = null,
    ) {
        if ($minimum === [] || count($minimum) !== count($maximum)) {
            throw new InvalidArgumentException('A daily record needs as many maxima as minima, and at least one day.');
        }
        foreach ([$rain, $snow] as $list) {
            if ($list !== null && count($list) !== count($minimum)) {
                throw new InvalidArgumentException('Rain and snow of a daily record have as many days as its temperatures.');
            }
        }
    }

    /** @param  array<string, list<float|null>|null>  $values  by element; rain and snow may be missing or null: not measured */
    public static function ofElements(Day $first, array $values): self
    {
        return new self(
            $first,
            $values[Element::Minimum->value] ?? [],
            $values[Element::Maximum->value] ?? [],
            $values[Element::Rain->value] ?? null,
            $values[Element::Snow->value] ?? null,
        );
    }

    /** @return list<float|null>|null by day; null: not measured */
    public function of(Element $element): ?array
    {
        return match ($element) {
            Element::Minimum => $this->minimum,
            Element::Maximum => $this->maximum,
            Element::Rain => $this->rain,
            Element::Snow => $this->snow,
        };
    }

    /**
     * Each measured element, changed by a function.
     *
     * @param  callable(list<float|null>, Element): list<float|null>  $change
     */
    public function map(callable $change): self
    {
        $values = [];
        foreach (Element::cases() as $element) {
            $of = $this->of($element);
            $values[$element->value] = $of === null ? null : $change($of, $element);
        }

        return self::ofElements($this->first, $values);
    }

    /** The record followed by days on which everything is missing. */
    public function withMissing(int $days): self
    {
        return $days <= 0 ? $this : $this->map(static fn (array $values): array => [...$values, ...array_fill(0, $days, null)]);
    }

    public function days(): int
    {
        return count($this->minimum);
    }

    public function last(): Day
    {
        return $this->first->plus($this->days() - 1);
    }

    /**
     * The days of the record from one day to another, both included, as far as the record goes.
     *
     * @throws InvalidArgumentException if none of them is on record
     */
    public function between(Day $from, Day $to): self
    {
        $start = max(0, $from->number - $this->first->number);
        $length = min($this->days() - 1, $to->number - $this->first->number) - $start + 1;
        if ($length <= 0) {
            throw new InvalidArgumentException("The record has no day between {$from->iso()} and {$to->iso()}.");
        }

        $values = [];
        foreach (Element::cases() as $element) {
            $of = $this->of($element);
            $values[$element->value] = $of === null ? null : array_slice($of, $start, $length);
        }

        return self::ofElements($this->first->plus($start), $values);
    }

    /** @return list<Gap> runs of days on which the minimum or the maximum is missing, in order */
    public function gaps(): array
    {
        $gaps = [];
        $start = null;
        foreach ($this->minimum as $i => $minimum) {
            $missing = $minimum === null || $this->maximum[$i] === null;
            if ($missing && $start === null) {
                $start = $i;
            } elseif (! $missing && $start !== null) {
                $gaps[] = new Gap($this->first->plus($start), $i - $start);
                $start = null;
            }
        }
        if ($start !== null) {
            $gaps[] = new Gap($this->first->plus($start), $this->days() - $start);
        }

        return $gaps;
    }

    /**
     * The record with runs of missing temperatures bridged by a straight line, separately for minima and maxima. A run at either end has
     * only one side and stays missing. So do rain and snow, which do not follow a line.
     *
     * @param  int  $longest  the longest run that is bridged, in days
     */
    public function bridged(int $longest = Gap::BRIDGED_DAYS): self
    {
        return new self(
            $this->first,
            self::bridge($this->minimum, $longest),
            self::bridge($this->maximum, $longest),
            $this->rain,
            $this->snow,
        );
    }

    /**
     * @return string a fingerprint of the days and values, SHA-256 in hexadecimal; without rain and snow, the same as for the temperatures
     *   alone
     */
    public function checksum(): string
    {
        $values = [$this->minimum, $this->maximum, ...$this->rain === null && $this->snow === null ? [] : [$this->rain, $this->snow]];

        return hash('sha256', $this->first->iso().'|'.json_encode($values, JSON_THROW_ON_ERROR));
    }

    /**
     * @param  list<float|null>  $values
     * @return list<float|null>
     */
    private static function bridge(array $values, int $longest): array
    {
        $before = null;
        foreach ($values as $i => $value) {
            if ($value === null) {
                continue;
            }
            if ($before !== null && $i - $before > 1 && $i - $before - 1 <= $longest) {
                $from = (float) $values[$before];
                $step = ($value - $from) / ($i - $before);
                for ($j = $before + 1; $j < $i; $j++) {
                    $values[$j] = $from + $step * ($j - $before);
                }
            }
            $before = $i;
        }

        return array_values($values);
    }
}
