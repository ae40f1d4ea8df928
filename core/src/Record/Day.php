<?php

declare(strict_types=1);

namespace Anthesis\Record;

use InvalidArgumentException;

/**
 * A proleptic Gregorian day, stored as the number of days since 1970-01-01.
 *
 * The arithmetic uses integers only (400-year eras, years that start in March), so it is exact for any year and needs no time zone.
 */
final readonly class Day
{
    private function __construct(public int $number)
    {
    }

    public static function fromNumber(int $number): self
    {
        return new self($number);
    }

    public static function of(int $year, int $month, int $day): self
    {
        return new self(self::numberOf($year, $month, $day));
    }

    /** @throws InvalidArgumentException unless the text is an existing day written YYYY-MM-DD */
    public static function fromIso(string $text): self
    {
        $number = self::numberFromIso($text);
        if ($number === null) {
            throw new InvalidArgumentException("“{$text}” is not a day written as YYYY-MM-DD.");
        }

        return new self($number);
    }

    /** @return int|null days since 1970-01-01; null unless the text is an existing day written YYYY-MM-DD */
    public static function numberFromIso(string $text): ?int
    {
        if (strlen($text) !== 10 || $text[4] !== '-' || $text[7] !== '-') {
            return null;
        }
        $year = substr($text, 0, 4);
        $month = substr($text, 5, 2);
        $day = substr($text, 8, 2);
        if (! ctype_digit($year.$month.$day)) {
            return null;
        }
        $m = (int) $month;
        $d = (int) $day;
        if ($m < 1 || $m > 12 || $d < 1 || $d > self::daysInMonth((int) $year, $m)) {
            return null;
        }

        return self::numberOf((int) $year, $m, $d);
    }

    public static function numberOf(int $year, int $month, int $day): int
    {
        $y = $month <= 2 ? $year - 1 : $year;
        $era = intdiv($y >= 0 ? $y : $y - 399, 400);
        $yearOfEra = $y - $era * 400;
        $dayOfYear = intdiv(153 * ($month + ($month > 2 ? -3 : 9)) + 2, 5) + $day - 1;
        $dayOfEra = $yearOfEra * 365 + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100) + $dayOfYear;

        return $era * 146097 + $dayOfEra - 719468;
    }

    /** @return array{int, int, int} year, month, day */
    public static function civil(int $number): array
    {
        $z = $number + 719468;
        $era = intdiv($z >= 0 ? $z : $z - 146096, 146097);
        $dayOfEra = $z - $era * 146097;
        $yearOfEra = intdiv($dayOfEra - intdiv($dayOfEra, 1460) + intdiv($dayOfEra, 36524) - intdiv($dayOfEra, 146096), 365);
        $dayOfYear = $dayOfEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $shifted = intdiv(5 * $dayOfYear + 2, 153);
        $month = $shifted < 10 ? $shifted + 3 : $shifted - 9;

        return [$yearOfEra + $era * 400 + ($month <= 2 ? 1 : 0), $month, $dayOfYear - intdiv(153 * $shifted + 2, 5) + 1];
    }

    public static function isLeap(int $year): bool
    {
        return $year % 4 === 0 && ($year % 100 !== 0 || $year % 400 === 0);
    }

    public static function daysInMonth(int $year, int $month): int
    {
        return match ($month) {
            2 => self::isLeap($year) ? 29 : 28,
            4, 6, 9, 11 => 30,
            default => 31,
        };
    }

    /** @return int the day of the year 1…365 this day counts as; February 29 counts as February 28 */
    public static function yearDayOf(int $number): int
    {
        [, $month, $day] = self::civil($number);

        return YearDay::numberOf($month, $day);
    }

    /** @return list<int> the days of the year 1…365 that this day and those after it count as, so many in all; quicker than one by one */
    public function yearDays(int $days): array
    {
        [$year, $month, $date] = self::civil($this->number);
        $yearDay = YearDay::numberOf($month, $date);
        $february28 = YearDay::numberOf(2, 28);
        $isLeapDay = $month === 2 && $date === 29;
        $yearDays = [];
        for ($i = 0; $i < $days; $i++) {
            $yearDays[] = $yearDay;
            if ($yearDay === $february28 && ! $isLeapDay && self::isLeap($year)) {
                $isLeapDay = true;

                continue;
            }
            $isLeapDay = false;
            $yearDay++;
            if ($yearDay > YearDay::YEAR) {
                $yearDay = 1;
                $year++;
            }
        }

        return $yearDays;
    }

    public function iso(): string
    {
        [$year, $month, $day] = self::civil($this->number);

        return sprintf('%04d-%02d-%02d', $year, $month, $day);
    }

    public function year(): int
    {
        return self::civil($this->number)[0];
    }

    public function yearDay(): YearDay
    {
        return YearDay::fromNumber(self::yearDayOf($this->number));
    }

    /** @return int how many days later the other day is; negative if it is earlier */
    public function daysUntil(self $other): int
    {
        return $other->number - $this->number;
    }

    public function isBefore(self $other): bool
    {
        return $this->number < $other->number;
    }

    public function plus(int $days): self
    {
        return new self($this->number + $days);
    }
}
