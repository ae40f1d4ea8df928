<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Day;

/** How a file writes its dates. */
enum DateOrder: string
{
    /** 2026-05-12, or 20260512 */
    case YearFirst = 'year-first';

    /** 12.05.2026 */
    case DayFirst = 'day-first';

    /** 05/12/2026 */
    case MonthFirst = 'month-first';

    /** @return int|null days since 1970-01-01, null if the text is not a day in this form; a time of day after it is ignored */
    public function read(string $text): ?int
    {
        if ($this === self::YearFirst) {
            $day = Day::numberFromIso($text);
            if ($day !== null || preg_match('/^(\d{4})[-\/.]?(\d{2})[-\/.]?(\d{2})(?:[T ].*)?$/', $text, $found) !== 1) {
                return $day;
            }

            return Day::numberFromIso("{$found[1]}-{$found[2]}-{$found[3]}");
        }
        if (preg_match('/^(\d{1,2})[-\/.](\d{1,2})[-\/.](\d{4})(?:[T ].*)?$/', $text, $found) !== 1) {
            return null;
        }
        [$day, $month] = $this === self::DayFirst ? [$found[1], $found[2]] : [$found[2], $found[1]];

        return Day::numberFromIso(sprintf('%s-%02d-%02d', $found[3], (int) $month, (int) $day));
    }

    /**
     * @param  list<string>  $dates
     * @return self|null null if they could be either day first or month first
     */
    public static function of(array $dates): ?self
    {
        $most = [0, 0];
        $dayOrMonthFirst = 0;
        foreach ($dates as $date) {
            if (preg_match('/^(\d{1,2})[-\/.](\d{1,2})[-\/.]\d{4}/', $date, $found) === 1) {
                $dayOrMonthFirst++;
                $most = [max($most[0], (int) $found[1]), max($most[1], (int) $found[2])];
            }
        }

        return match (true) {
            // A few odd ones among dates of another kind are mistakes in the file, not its order.
            2 * $dayOrMonthFirst < count($dates) || $dayOrMonthFirst === 0 => self::YearFirst,
            $most[0] > 12 => self::DayFirst,
            $most[1] > 12 => self::MonthFirst,
            default => null,
        };
    }
}
