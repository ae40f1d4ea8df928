<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\YearDay;

/**
 * Compares what an English note says about seasons ("Sow in fall …", "Chiefly a fall crop") with the dates it appears beside.
 *
 * Only instructions count: "spring sowings bolt" asks for nothing. Seasons are those of the calendar: March to May is spring in the north
 * and fall in the south.
 *
 * @phpstan-import-type Sheet from CropSheet
 */
final class NoteCheck
{
    /** Months of the season in the north, first and last. */
    private const SEASONS = ['spring' => [3, 5], 'summer' => [6, 8], 'autumn' => [9, 11], 'winter' => [12, 2]];

    private const CALLED = [
        'spring' => 'spring',
        'midsummer' => 'summer',
        'summer' => 'summer',
        'autumn' => 'autumn',
        'fall' => 'autumn',
        'midwinter' => 'winter',
        'winter' => 'winter',
    ];

    private const ASKED = '/\b(?:sow|plant|set out|start)\b[^.;:]{0,30}?\b(%1$s)\b|\b(%1$s) (?:crop|sowing|planting)\b/i';

    private const HALF_YEAR = 6;

    /**
     * @param  Sheet  $sheet
     * @return string|null the first season (`spring`, `summer`, `fall`, `winter`) in which the note asks for something and the sheet has no
     *   window, chance, start indoors, or harvest; null: none, or no dates to compare with
     */
    public static function contradiction(array $sheet, string $hemisphere): ?string
    {
        $spans = [];
        foreach ($sheet['routes'] as $route) {
            array_push($spans, ...WeekList::dates($route), ...$route['under_cover'], ...$route['harvests']);
        }
        if ($spans === [] || ($sheet['notes'] ?? null) === null) {
            return null;
        }
        preg_match_all(sprintf(self::ASKED, implode('|', array_keys(self::CALLED))), $sheet['notes'], $found, PREG_SET_ORDER);
        foreach ($found as $asked) {
            $season = self::CALLED[strtolower((string) end($asked))];
            [$first, $last] = self::days($season, $hemisphere);
            foreach ($spans as $span) {
                $opens = YearDay::fromIso($span['first']);
                if ($first->daysUntil($opens) <= $first->daysUntil($last) || $opens->daysUntil($first) < $span['days']) {
                    continue 2;
                }
            }

            return $season;
        }

        return null;
    }

    /** @return array{YearDay, YearDay} */
    private static function days(string $season, string $hemisphere): array
    {
        $months = array_map(
            static fn (int $month): int => $hemisphere === 'south' ? (($month - 1 + self::HALF_YEAR) % 12) + 1 : $month,
            self::SEASONS[$season],
        );

        return [YearDay::fromIso(sprintf('%02d-01', $months[0])), YearDay::fromIso(sprintf('%02d-28', $months[1]))];
    }
}
