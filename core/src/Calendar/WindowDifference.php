<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\SowDay;

/**
 * How the windows of a way of growing differ from others: when the first opens, and when the last closes.
 *
 * Where one is open all year it neither opens nor closes, and there are no days to tell. Where one would open or close more
 * than half a year apart, "earlier" and "later" mean nothing on the circle of the year: then the lengths are told.
 *
 * @phpstan-import-type Span from CropSheet
 */
final class WindowDifference
{
    private const HALF_A_YEAR = 182;

    /**
     * Days by which the windows open and close later than the others (negative: earlier), −182 to 182.
     *
     * @param  list<Span>  $windows  in the order of the ruler, as the others
     * @param  list<Span>  $others
     * @return array{opens: int, closes: int}|null null where either has no window, is open all year, or differs by more than half a year
     */
    public static function between(array $windows, array $others): ?array
    {
        if ($windows === [] || $others === [] || self::allYear($windows) || self::allYear($others)) {
            return null;
        }
        $opens = self::days($others[0]['first'], $windows[0]['first']);
        // From the first opening to the last closing, so that a window that grew is never told as one that shrank.
        $closes = $opens + self::reach($windows) - self::reach($others);

        return abs($closes) > self::HALF_A_YEAR ? null : ['opens' => $opens, 'closes' => $closes];
    }

    /**
     * "19 days earlier to open, 3 days longer at the end".
     *
     * @param  list<Span>  $windows  in the order of the ruler, as the others
     * @param  list<Span>  $others
     * @param  string  $than  whose windows the others are: `open ground`
     */
    public static function inWords(array $windows, array $others, string $than): string
    {
        $difference = self::between($windows, $others);
        if ($difference === null) {
            return match (true) {
                $windows === [] => $others === [] ? '' : 'no window',
                $others === [] => "a window where {$than} has none",
                self::allYear($windows) => self::allYear($others) ? 'the same' : 'open all year',
                self::allYear($others) => 'closed for '.self::count(SowDay::YEAR - self::open($windows)),
                default => 'open for '.self::count(self::open($windows)).", {$than} for ".self::open($others),
            };
        }
        ['opens' => $opens, 'closes' => $closes] = $difference;
        $words = array_filter([
            $opens === 0 ? '' : self::count($opens).($opens < 0 ? ' earlier to open' : ' later to open'),
            $closes === 0 ? '' : self::count($closes).($closes > 0 ? ' longer at the end' : ' shorter at the end'),
        ]);

        return $words === [] ? 'the same' : implode(', ', $words);
    }

    /** @param  list<Span>  $windows */
    private static function allYear(array $windows): bool
    {
        return self::open($windows) >= SowDay::YEAR;
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
        return SowDay::fromIso($windows[0]['first'])->daysUntil(SowDay::fromIso($windows[count($windows) - 1]['last']));
    }

    private static function days(string $from, string $to): int
    {
        $between = SowDay::fromIso($from)->daysUntil(SowDay::fromIso($to));

        return $between > self::HALF_A_YEAR ? $between - SowDay::YEAR : $between;
    }

    private static function count(int $days): string
    {
        return abs($days).(abs($days) === 1 ? ' day' : ' days');
    }
}
