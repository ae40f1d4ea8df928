<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\LightSchool;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Every crop of the table by every route, on days spread over both records, against a replay done the plain way. */
final class PlainReplayTest extends TestCase
{
    private const STEP = 311;

    #[TestWith(['north', 'open ground', LightSchool::Radiation])]
    #[TestWith(['north', 'cold frame', LightSchool::TenHour])]
    #[TestWith(['south', 'cold pocket', LightSchool::None])]
    #[TestWith(['south', 'shade cloth', LightSchool::Radiation])]
    public function test_the_fast_replay_agrees_with_the_plain_one(string $station, string $site, LightSchool $light): void
    {
        $record = Fixtures::record($station);
        $latitude = Fixtures::latitude($station);
        $fast = new Replay($record, $latitude, Site::named($site), $light);
        $plain = new PlainReplay($record, $latitude, Site::named($site), $light);
        $seen = [];
        foreach (CropCsv::standard()->crops as $n => $crop) {
            foreach ($crop->routes as $route) {
                $runs = [];
                foreach ($fast->runs($crop, $route)->all() as $run) {
                    $runs[$run->sown->number - $record->first->number] = [$run->outcome->value, $run->daysToHarvest, $run->harvestDays];
                }
                // Other days for each crop, so that all of the year is tried.
                for ($day = $n % self::STEP; $day < $record->days(); $day += self::STEP) {
                    $expected = $plain->run($crop, $route, $day);
                    self::assertSame(
                        $expected,
                        $runs[$day] ?? null,
                        "{$crop->slug}, {$route->value}, sown on {$record->first->plus($day)->iso()}",
                    );
                    $seen[$expected[0] ?? 'does not count'] = true;
                }
            }
        }
        self::assertGreaterThanOrEqual(9, count($seen), 'most outcomes were met: '.implode(', ', array_keys($seen)));
    }
}
