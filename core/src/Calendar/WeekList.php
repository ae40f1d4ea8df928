<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Act;
use Anthesis\Record\YearDay;

/**
 * What can be done in each week of the year. Week 1 is January 1 to 7; week 52 has eight days.
 *
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Span from CropSheet
 * @phpstan-import-type Chance from CropSheet
 * @phpstan-import-type RouteSheet from CropSheet
 *
 * @phpstan-type Task array{crop: string, name: string, act: string, opens: string, closes: string|null, last_chance: bool, opening: bool, of_ten: int|null}
 * @phpstan-type Week array{week: int, first: string, last: string, tasks: list<Task>}
 */
final class WeekList
{
    public const WEEKS = 52;

    /** A window that closes within this many days of the week's start is a last chance. */
    private const LAST_CHANCE_DAYS = 14;

    public static function weekOf(YearDay $day): int
    {
        return min(self::WEEKS, intdiv($day->number - 1, 7) + 1);
    }

    /**
     * @param  list<Sheet>  $sheets
     * @return list<Week> tasks that close soonest first
     */
    public static function of(array $sheets): array
    {
        $weeks = [];
        for ($week = 1; $week <= self::WEEKS; $week++) {
            $first = YearDay::fromNumber(7 * $week - 6);
            $last = YearDay::fromNumber($week === self::WEEKS ? YearDay::YEAR : 7 * $week);
            $tasks = [];
            foreach ($sheets as $sheet) {
                foreach ($sheet['routes'] as $route) {
                    foreach (
                        [[$route['act'], self::dates($route)], [Act::StartUnderCover->value, $route['under_cover']]] as [$act, $spans]
                    ) {
                        foreach ($spans as $span) {
                            $task = self::task($sheet, $act, $span, $first, $last);
                            if ($task !== null) {
                                $tasks[] = $task;
                            }
                        }
                    }
                }
            }
            usort(
                $tasks,
                static fn (array $a, array $b): int => [$a[0], $a[1]['name'], $a[1]['act']] <=> [$b[0], $b[1]['name'], $b[1]['act']],
            );
            $weeks[] = ['week' => $week, 'first' => $first->iso(), 'last' => $last->iso(), 'tasks' => array_column($tasks, 1)];
        }

        return $weeks;
    }

    /**
     * What is published as dates: the windows or, if there are none, the fair chances, so nothing that usually works is missing.
     *
     * @param  RouteSheet  $route
     * @return list<Span|Chance>
     */
    public static function dates(array $route): array
    {
        return $route['windows'] === [] ? $route['chances'] ?? [] : $route['windows'];
    }

    /**
     * @param  Sheet  $sheet
     * @param  Span|Chance  $span
     * @return array{int, Task}|null days until it closes, and the task; null if the week lies outside the window
     */
    private static function task(array $sheet, string $act, array $span, YearDay $first, YearDay $last): ?array
    {
        [$opens, $closes] = [YearDay::fromIso($span['first']), YearDay::fromIso($span['last'])];
        $openingThisWeek = $first->daysUntil($opens) <= $first->daysUntil($last);
        if (! $openingThisWeek && $opens->daysUntil($first) >= $span['days']) {
            return null;
        }
        $allYear = $span['days'] === YearDay::YEAR;
        $left = $allYear ? YearDay::YEAR : $first->daysUntil($closes);

        return [
            $left,
            [
                'crop' => $sheet['slug'],
                'name' => $sheet['name'],
                'act' => $act,
                'opens' => $span['first'],
                'closes' => $allYear ? null : $span['last'],
                'last_chance' => $left < self::LAST_CHANCE_DAYS,
                'opening' => $openingThisWeek && ! $allYear,
                'of_ten' => $span['of_ten'] ?? null,
            ],
        ];
    }
}
