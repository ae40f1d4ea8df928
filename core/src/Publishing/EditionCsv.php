<?php

declare(strict_types=1);

namespace Anthesis\Publishing;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\WeekList;
use Anthesis\Messages\Words;
use Anthesis\Tables\CsvText;

/**
 * Windows as a table: one row per window, or per fair chance if there is no window; days of the year as MM-DD.
 *
 * @phpstan-import-type Sheet from CropSheet
 */
final class EditionCsv
{
    private const HEADING = [
        'zone',
        'crop',
        'name',
        'route',
        'act',
        'first',
        'last',
        'days',
        'start_under_cover_first',
        'start_under_cover_last',
        'harvest_first',
        'harvest_last',
        'school',
        'fair_chance_of_ten',
        'edition',
    ];

    /**
     * @param  list<Sheet>  $sheets
     * @param  int|null  $edition  its number; null: not an edition
     */
    public static function write(string $zone, array $sheets, Words $words, ?int $edition = null): string
    {
        $rows = [self::HEADING];
        foreach ($sheets as $sheet) {
            foreach ($sheet['routes'] as $route) {
                foreach (WeekList::dates($route) as $i => $window) {
                    $cover = $route['under_cover'][$i] ?? null;
                    $harvest = $route['harvests'][$i] ?? null;
                    $rows[] = [
                        $zone,
                        $sheet['slug'],
                        $words->own($sheet['name']),
                        $route['route'],
                        $words->say("act.{$route['act']}"),
                        $window['first'],
                        $window['last'],
                        $window['days'],
                        $cover['first'] ?? '',
                        $cover['last'] ?? '',
                        $harvest['first'] ?? '',
                        $harvest['last'] ?? '',
                        $sheet['school'],
                        $window['of_ten'] ?? '',
                        $edition ?? '',
                    ];
                }
            }
        }

        return CsvText::of($rows);
    }
}
