<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Calendar\CropSheet;
use Anthesis\Climate\FreezeRisk;
use Anthesis\Messages\Words;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\FromReplay;

/**
 * The windows of some crops and how they were reached, as a person would write them down: core/tests/fixtures/on-paper.txt.
 *
 * @phpstan-import-type Span from CropSheet
 */
final class OnPaper
{
    private const COUNTED_BACK = [
        'radish',
        'spinach',
        'corn-salad',
        'bush-bean',
        'broccoli',
        'tomato-main',
        'kale',
        'fennel',
        'potato-early',
        'sweet-potato',
        'garlic-hardneck',
        'garlic-softneck',
        'leek',
        'watermelon',
    ];

    private const REPLAYED = ['radish', 'bush-bean', 'broccoli', 'onion-long-day', 'garlic-hardneck', 'okra'];

    private const SHARES = [0.9, 0.8, 0.6];

    public static function text(string $station): string
    {
        $record = Fixtures::record($station);
        $latitude = Fixtures::latitude($station);
        $place = PlaceEvidence::of($record, $latitude, Site::openGround());
        $text = '';
        foreach ([2, 10] as $years) {
            $back = new CountBack($place, new CountBackSettings(FreezeRisk::oneYearIn($years), FreezeRisk::oneYearIn($years)));
            foreach ($years === 2 ? self::COUNTED_BACK : ['radish', 'tomato-main'] as $slug) {
                $text .= self::crop("counted back, 1 year in {$years}", $slug, $back->windows(self::find($slug)));
            }
        }
        $replay = new FromReplay(new Replay($record, $latitude, Site::openGround()), $latitude->yearStart(), 'open ground');
        foreach (self::REPLAYED as $slug) {
            foreach (self::SHARES as $share) {
                $text .= self::crop("replayed, {$share} of the years", $slug, $replay->at(self::find($slug), $share));
            }
        }

        return $text;
    }

    /** @param  list<RouteWindows>  $routes */
    private static function crop(string $how, string $slug, array $routes): string
    {
        $words = Words::in('en');
        $lines = [];
        foreach (CropSheet::routes(self::find($slug), $routes) as $route) {
            $lines[] = "{$slug}, {$how}: ".$words->say("act.{$route['act']}");
            foreach (['windows', 'fair', 'under_cover', 'harvests'] as $part) {
                $lines[] = "  {$part}: ".implode(', ', array_map(self::span(...), $route[$part]));
            }
            foreach ($route['evidence'] as $e) {
                $lines[] =
                    "  best {$e['best']}, {$e['harvests']} of {$e['years']}, slack {$e['slack']}, from first ".
                    implode(' ', $e['from_first'] ?? []).
                    ', from last '.
                    implode(' ', $e['from_last'] ?? []);
            }
            foreach ($route['reasons'] as $reason) {
                $lines[] = "  not {$reason['first']} to {$reason['last']}: ".$words->phrase($reason['phrase']);
            }
            foreach ($route['derivation'] as $line) {
                $lines[] =
                    "  [{$line['key']}] ".
                    $words->phrase($line['label']).
                    ' | '.
                    ($line['date'] ?? '').
                    ' | '.
                    ($line['days'] ?? '').
                    ' | '.
                    $words->phrase($line['source']);
            }
        }

        return implode("\n", $lines)."\n\n";
    }

    private static function find(string $slug): \Anthesis\Crop\Crop
    {
        return Fixtures::crops()->find($slug) ?? throw new \RuntimeException("No crop {$slug}.");
    }

    /** @param  Span  $span */
    private static function span(array $span): string
    {
        return "{$span['first']} to {$span['last']} ({$span['days']})";
    }
}
