<?php

declare(strict_types=1);

namespace Anthesis\Record;

use InvalidArgumentException;

/** A day of the year, from 1 (January 1) to 365 (December 31); February 29 counts as February 28. */
final readonly class YearDay
{
    public const YEAR = 365;

    private const BEFORE_MONTH = [0, 0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];

    private function __construct(public int $number)
    {
    }

    /** @throws InvalidArgumentException outside 1…365 */
    public static function fromNumber(int $number): self
    {
        if ($number < 1 || $number > self::YEAR) {
            throw new InvalidArgumentException("A day of the year lies between 1 and 365; {$number} does not.");
        }

        return new self($number);
    }

    /** Wraps any count of days around the year: 366 is 1, 0 is 365. */
    public static function wrap(int $number): self
    {
        return new self((((($number - 1) % self::YEAR) + self::YEAR) % self::YEAR) + 1);
    }

    /** @return int the number of the day; February 29 counts as February 28 */
    public static function numberOf(int $month, int $day): int
    {
        return self::BEFORE_MONTH[$month] + ($month === 2 && $day === 29 ? 28 : $day);
    }

    public static function of(int $month, int $day): self
    {
        return self::fromNumber(self::BEFORE_MONTH[$month] + $day);
    }

    /** @throws InvalidArgumentException unless the text is an existing day written MM-DD; February 29 does not exist here */
    public static function fromIso(string $monthDay): self
    {
        if (preg_match('/^(0[1-9]|1[0-2])-(\d\d)$/', $monthDay, $found) === 1) {
            $number = self::BEFORE_MONTH[(int) $found[1]] + (int) $found[2];
            if ($number >= 1 && $number <= self::YEAR && (new self($number))->iso() === $monthDay) {
                return new self($number);
            }
        }
        throw new InvalidArgumentException("“{$monthDay}” is not a day of the year written as MM-DD.");
    }

    /** @return int the month, 1 to 12, of the day of the year with a number from 1 to 365 */
    public static function monthOf(int $number): int
    {
        $month = 12;
        while (self::BEFORE_MONTH[$month] >= $number) {
            $month--;
        }

        return $month;
    }

    /** @return array{int, int} month 1…12 and day of the month */
    public function monthAndDay(): array
    {
        $month = self::monthOf($this->number);

        return [$month, $this->number - self::BEFORE_MONTH[$month]];
    }

    /** @return string month and day as in ISO 8601, "05-12" */
    public function iso(): string
    {
        return vsprintf('%02d-%02d', $this->monthAndDay());
    }

    public function plus(int $days): self
    {
        return self::wrap($this->number + $days);
    }

    /** @return int days forward around the year from this day to the other, 0…364 */
    public function daysUntil(self $other): int
    {
        return ($other->number - $this->number + self::YEAR) % self::YEAR;
    }
}
