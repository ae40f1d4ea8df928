<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\Bolting;
use Anthesis\Crop\Crop;
use Anthesis\Crop\FruitSet;
use Anthesis\Crop\HeatLimit;
use Anthesis\Crop\LightSchool;
use Anthesis\Record\Day;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Every crop of the table by every route, on days spread over both records, against a replay done the plain way. */
final class PlainReplayTest extends TestCase
{
    private const STEP = 311;

    /** The rules of the third edition, with limits that bite, spread over the crops of the table. */
    private static function withEveryRule(Crop $crop, int $n): Crop
    {
        $heat = $crop->heat;
        // For some, a single cold day is enough.
        $chill = $crop->bolting->chillDays === null || $n % 2 === 0 ? $crop->bolting->chillDays : 1;

        return $crop->with(
            heat: new HeatLimit($heat->maximumC, $heat->days, $heat->fromShare, $n % 3 === 0 ? 24.0 + $n % 5 : null),
            fruitSet: $n % 2 === 0
                ? new FruitSet($n % 4 === 0 ? 9.0 : null, $n % 8 < 6 ? 17.0 : null, $n % 6 === 0 ? 27.0 : null, ($n % 11) / 10)
                : null,
            bolting: new Bolting($chill, $crop->bolting->dayHours, $crop->bolting->growthDays, (float) ($n % 30)),
        );
    }

    /** @return array{string, int|null, int}|null as PlainReplay tells it */
    private static function sownOn(Runs $runs, Day $sown): ?array
    {
        foreach ($runs->all($sown->yearDay()->number) as $run) {
            if ($run->sown->number === $sown->number) {
                return [$run->outcome->value, $run->daysToHarvest, $run->harvestDays];
            }
        }

        return null;
    }

    #[Group('slow')]
    #[TestWith(['north', 'open ground', LightSchool::Radiation])]
    #[TestWith(['north', 'cold frame', LightSchool::TenHour])]
    #[TestWith(['south', 'cold pocket', LightSchool::None])]
    #[TestWith(['south', 'shade cloth', LightSchool::Radiation])]
    #[TestWith(['north-rain', 'low tunnel', LightSchool::Radiation])]
    #[TestWith(['south-rain', 'open ground', LightSchool::Radiation])]
    public function test_the_fast_replay_agrees_with_the_plain_one(string $station, string $site, LightSchool $light): void
    {
        $record = Fixtures::record($station);
        $latitude = Fixtures::latitude($station);
        $fast = new Replay($record, $latitude, Site::named($site), $light);
        $plain = new PlainReplay($record, $latitude, Site::named($site), $light);
        $seen = [];
        foreach (Fixtures::crops()->crops as $n => $crop) {
            $crop = str_ends_with($station, '-rain') ? self::withEveryRule($crop, $n) : $crop;
            foreach ($crop->routes as $route) {
                $runs = $fast->runs($crop, $route);
                // Other days for each crop, so that all of the year is tried.
                for ($day = $n % self::STEP; $day < $record->days(); $day += self::STEP) {
                    $expected = $plain->run($crop, $route, $day);
                    $sown = $record->first->plus($day);
                    self::assertSame($expected, self::sownOn($runs, $sown), "{$crop->slug}, {$route->value}, sown on {$sown->iso()}");
                    $seen[$expected[0] ?? 'does not count'] = true;
                }
            }
        }
        self::assertGreaterThanOrEqual(9, count($seen), 'most outcomes were met: '.implode(', ', array_keys($seen)));
    }
}
