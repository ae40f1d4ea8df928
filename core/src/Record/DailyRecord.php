<?php

declare(strict_types=1);

namespace Anthesis\Record;

use InvalidArgumentException;

/**
 * One continuous daily series of minimum and maximum air temperature at screen height, °C.
 *
 * Day i of both lists is the i-th day from the first. A missing value is null, never zero.
 */
final readonly class DailyRecord
{
    /**
     * @param  list<float|null>  $minimum  °C
     * @param  list<float|null>  $maximum  °C, as many as minima
     *
     * @throws InvalidArgumentException when the lists are empty or differ in length
     */
    public function __construct(public Day $first, public array $minimum, public array $maximum)
    {
        if ($minimum === [] || count($minimum) !== count($maximum)) {
            throw new InvalidArgumentException('A daily record needs as many maxima as minima, and at least one day.');
        }
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
     * The days of the record from one day to another, both included, as far as the record reaches.
     *
     * @throws InvalidArgumentException when none of them is on record
     */
    public function between(Day $from, Day $to): self
    {
        $start = max(0, $from->number - $this->first->number);
        $length = min($this->days() - 1, $to->number - $this->first->number) - $start + 1;
        if ($length <= 0) {
            throw new InvalidArgumentException("The record has no day between {$from->iso()} and {$to->iso()}.");
        }

        return new self(
            $this->first->plus($start),
            array_slice($this->minimum, $start, $length),
            array_slice($this->maximum, $start, $length),
        );
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
     * The record with runs of missing values bridged by a straight line, separately for minima and maxima. A run at
     * either end has nothing to lean on and stays missing.
     *
     * @param  int  $longest  the longest run that is bridged, in days
     */
    public function bridged(int $longest = Gap::BRIDGED_DAYS): self
    {
        return new self($this->first, self::bridge($this->minimum, $longest), self::bridge($this->maximum, $longest));
    }

    /** @return string a fingerprint of the days and values, SHA-256 in hexadecimal */
    public function checksum(): string
    {
        return hash('sha256', $this->first->iso().'|'.json_encode([$this->minimum, $this->maximum], JSON_THROW_ON_ERROR));
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
