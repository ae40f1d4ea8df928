<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/**
 * How the windows of a way of growing differ from others: when the first opens, and when the last closes.
 *
 * A window that is open all year neither opens nor closes, so there are no days to report. If one opened or closed more than half a year
 * apart, "earlier" and "later" would mean nothing around the year; then the lengths are compared.
 *
 * @phpstan-import-type Span from CropSheet
 */
final class WindowDifference
{
    private const HALF_A_YEAR = 182;

    /**
     * Days by which the windows open and close later than the others (negative: earlier), −182 to 182.
     *
     * @param  list<Span>  $windows  in the order of the ruler, like the others
     * @param  list<Span>  $others
     * @return array{opens: int, closes: int}|null null if either has no window, is open all year, or differs by more than half a year
     */
    public static function between(array $windows, array $others): ?array
    {
        if ($windows === [] || $others === [] || self::allYear($windows) || self::allYear($others)) {
            return null;
        }
        $opens = self::days($others[0]['first'], $windows[0]['first']);
        // From the first opening to the last closing, so a window that grew is never reported as one that shrank.
        $closes = $opens + self::reach($windows) - self::reach($others);

        return abs($closes) > self::HALF_A_YEAR ? null : ['opens' => $opens, 'closes' => $closes];
    }

    /**
     * As "19 days earlier to open, 3 days longer at the end".
     *
     * @param  list<Span>  $windows  in the order of the ruler, like the others
     * @param  list<Span>  $others
     * @param  string|Phrase  $than  whose windows the others are: `open ground`
     * @return Phrase|null null if neither has a window
     */
    public static function phrase(array $windows, array $others, string|Phrase $than): ?Phrase
    {
        $difference = self::between($windows, $others);

        return match (true) {
            $difference !== null => self::shift($difference['opens'], $difference['closes']),
            $windows === [] => $others === [] ? null : Phrase::of('difference.no-window'),
            $others === [] => Phrase::of('difference.only-here', ['than' => $than]),
            self::allYear($windows) => self::allYear($others) ? Phrase::of('difference.same') : Phrase::of('difference.open-all-year'),
            self::allYear($others) => Phrase::of('difference.closed-for', ['days' => YearDay::YEAR - self::open($windows)]),
            default => Phrase::of('difference.open-for', [
                'days' => self::open($windows),
                'than' => $than,
                'others' => self::open($others),
            ]),
        };
    }

    private static function shift(int $opens, int $closes): Phrase
    {
        $parts = array_values(
            array_filter([
                $opens === 0
                    ? null
                    : Phrase::of($opens < 0 ? 'difference.opens-earlier' : 'difference.opens-later', ['days' => abs($opens)]),
                $closes === 0
                    ? null
                    : Phrase::of($closes > 0 ? 'difference.closes-later' : 'difference.closes-earlier', ['days' => abs($closes)]),
            ]),
        );

        return match (count($parts)) {
            0 => Phrase::of('difference.same'),
            1 => $parts[0],
            default => Phrase::of('difference.both', ['opens' => $parts[0], 'closes' => $parts[1]]),
        };
    }

    /** @param  list<Span>  $windows */
    private static function allYear(array $windows): bool
    {
        return self::open($windows) >= YearDay::YEAR;
    }

    /** @param  list<Span>  $windows */
    private static function open(array $windows): int
    {
        return array_sum(array_column($windows, 'days'));
    }

    /**
     * @param  non-empty-list<Span>  $windows
     * @return int days from the first opening to the last closing
     */
    private static function reach(array $windows): int
    {
        return YearDay::fromIso($windows[0]['first'])->daysUntil(YearDay::fromIso($windows[count($windows) - 1]['last']));
    }

    private static function days(string $from, string $to): int
    {
        $between = YearDay::fromIso($from)->daysUntil(YearDay::fromIso($to));

        return $between > self::HALF_A_YEAR ? $between - YearDay::YEAR : $between;
    }
}
