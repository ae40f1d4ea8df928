<?php

declare(strict_types=1);

namespace Anthesis\Tests\Verification;

use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Verification\CropPromises;
use Anthesis\Verification\TrackRecord;
use Anthesis\Verification\WindowPromises;
use PHPUnit\Framework\TestCase;

/** What all crops of a place promised, and kept. */
final class TrackRecordTest extends TestCase
{
    /** A crop of one route, by year: runs, harvests, and the sum of what was promised, all in May; bins as given. */
    private static function crop(string $name, string $family, array $years, array $lost = [], array $bins = []): array
    {
        $sum = static fn (int $at): int|float => array_sum(array_column($years, $at));

        return [
            'crop' => $name,
            'name' => ucfirst($name),
            'family' => $family,
            'promises' => [
                [
                    'route' => 'direct',
                    'act' => 'sow-outdoors',
                    'runs' => $sum(0),
                    'harvests' => $sum(1),
                    'promised' => (float) $sum(2),
                    'skill' => null,
                    'brier' => null,
                    'judged' => 0,
                    'bins' => $bins === [] ? array_fill(0, 5, [0, 0.0, 0, 0]) : $bins,
                    'years' => $years,
                    'months' => [5 => [$sum(0), $sum(1), (float) $sum(2)]],
                    'lost' => $lost,
                ],
            ],
        ];
    }

    public function test_it_sums_crops_and_puts_those_first_that_kept_their_word_least(): void
    {
        $bins = [[0, 0.0, 0, 0], [0, 0.0, 0, 0], [0, 0.0, 0, 0], [10, 7.0, 6, 5], [90, 82.0, 80, 15]];
        $good = array_fill_keys(range(2001, 2004), [10, 9, 8.0]);
        $poor = [2009 => [10, 2, 9.0], 2010 => [10, 10, 9.0]];
        $told = TrackRecord::of([
            self::crop('radish', 'Brassicaceae', $good, ['heat' => 4], $bins),
            self::crop('kale', 'Brassicaceae', $poor, ['freeze-late' => 1, 'heat' => 5, 'no-set' => 2], $bins),
            self::crop('okra', 'Malvaceae', []),
        ]);
        self::assertSame(['runs' => 60, 'harvests' => 48, 'promised' => 0.8333, 'kept' => 0.8], $told['total']);
        self::assertSame(2, $told['crops_judged'], 'a crop without a run in a window is not judged');
        self::assertSame(['kale', 'radish'], array_column($told['crops'], 'crop'));
        self::assertSame([['outcome' => 'heat', 'runs' => 5], ['outcome' => 'no-set', 'runs' => 2]], $told['crops'][0]['lost']);
        self::assertSame([['first_month' => 3, 'runs' => 60, 'harvests' => 48, 'promised' => 0.8333, 'kept' => 0.8]], $told['seasons']);
        self::assertSame([2000, 2010], array_column($told['decades'], 'decade'));
        self::assertSame([50, 10], array_column($told['decades'], 'runs'));
        self::assertSame(['Brassicaceae'], array_column($told['families'], 'family'));
        [$low, , , $fourth, $fifth] = $told['bins'];
        self::assertSame([0, null, null, null], [$low['runs'], $low['promised'], $low['kept'], $low['low']]);
        self::assertSame([20, 10, 0.7, 0.6, 0.5, 0.9], array_values($fourth));
        self::assertSame([180, 30, 0.9111, 0.8889], array_slice(array_values($fifth), 0, 4));
    }

    public function test_a_crop_falls_short_where_its_years_leave_the_band(): void
    {
        $years = static fn (int $harvests): array => array_fill_keys(range(2001, 2020), [10, $harvests, 8.0]);
        // Of twenty years at 0.8 the band begins at thirteen.
        [$kept] = TrackRecord::of([self::crop('a', 'X', $years(7))])['crops'];
        self::assertSame([0.65, false, 20], [$kept['low'], $kept['short'], $kept['years']]);
        [$short] = TrackRecord::of([self::crop('a', 'X', $years(6))])['crops'];
        self::assertTrue($short['short']);
        // Next to certain, one sowing lost of 310 is not a year lost.
        $sure = array_fill_keys(range(1990, 2020), [10, 10, 9.99]);
        $sure[2003] = [10, 9, 9.99];
        [$certain] = TrackRecord::of([self::crop('a', 'X', $sure)])['crops'];
        self::assertEquals([1.0, false], [$certain['low'], $certain['short']]);
        $sure[2003] = $sure[2004] = [10, 4, 9.99];
        self::assertTrue(TrackRecord::of([self::crop('a', 'X', $sure)])['crops'][0]['short'], 'more than a whole year is');
        $exactly = $years(6);
        foreach (range(2001, 2005) as $year) {
            $exactly[$year] = [10, 8, 8.0];
        }
        [$edge] = TrackRecord::of([self::crop('a', 'X', $exactly)])['crops'];
        self::assertSame([0.65, false], [$edge['kept'], $edge['short']], 'on the edge it holds');
    }

    public function test_the_last_fifteen_years_are_held_against_those_before(): void
    {
        $years = static function (int $lateKept): array {
            $of = array_fill_keys(range(1990, 2004), [4, 4, 3.2]);
            foreach (range(2005, 2019) as $i => $year) {
                $of[$year] = [4, $i < $lateKept ? 2 : 1, 3.2];
            }

            return $of;
        };
        [$worse] = TrackRecord::of([self::crop('a', 'X', $years(7))])['crops'];
        self::assertSame([['kept' => 7, 'years' => 15], ['kept' => 15, 'years' => 15]], [$worse['lately'], $worse['before']]);
        self::assertSame('worse', $worse['turned'], 'half of a year’s sowings keep it, a quarter does not');
        self::assertLessThan(0.05, $worse['p']);
        [$same] = TrackRecord::of([self::crop('a', 'X', $years(12))])['crops'];
        self::assertNull($same['turned']);
        $better = [];
        foreach ($years(15) as $year => $of) {
            $better[$year] = $year < 2005 ? [4, 0, 3.2] : $of;
        }
        krsort($better);
        [$turned] = TrackRecord::of([self::crop('a', 'X', $better)])['crops'];
        self::assertSame(['better', 15, 0], [$turned['turned'], $turned['lately']['kept'], $turned['before']['kept']]);
        [$new] = TrackRecord::of([self::crop('a', 'X', array_fill_keys(range(2010, 2019), [4, 0, 3.2]))])['crops'];
        self::assertSame([null, 0, 1.0], [$new['turned'], $new['before']['years'], $new['p']], 'nothing to hold it against');
    }

    public function test_a_crops_promises_are_those_of_its_windows_at_each_standard(): void
    {
        $known = KnownRecord::of(Fixtures::record('north'));
        $place = new Place($known, $known, Fixtures::latitude('north'), LightSchool::Radiation, [Site::openGround()], CropBook::none());
        $radish = Fixtures::crops()->find('radish') ?? self::fail('no radish');
        $told = CropPromises::of($place, $radish);
        self::assertSame(['cautious', 'reliable', 'bold'], array_keys($told));
        $runs = Replay::ofPlace($place)->runs($radish, Route::Direct);
        $reliable = WindowPromises::of($runs, 0.8);
        [$own] = $told['reliable'];
        self::assertSame([$reliable->runs, $reliable->harvests, $reliable->judged], [$own['runs'], $own['harvests'], $own['judged']]);
        self::assertNotNull($reliable->skill);
        self::assertNotNull($reliable->brier);
        self::assertSame(
            [round($reliable->runs * (float) $reliable->promised, 4), round($reliable->skill, 4), round($reliable->brier, 4)],
            [$own['promised'], $own['skill'], $own['brier']],
        );
        foreach ($reliable->bins as $i => [$seasons, $promise, $harvests]) {
            self::assertSame([$seasons, round($seasons * (float) $promise, 4), $harvests, $reliable->binYears[$i]], $own['bins'][$i]);
        }
        foreach ($reliable->years as $year => [$seasons, $harvests, $promise]) {
            self::assertSame([$seasons, $harvests, round($promise, 4)], $own['years'][$year]);
        }
        self::assertSame($reliable->lost, $own['lost']);
        self::assertSame(['direct', 'sow-outdoors'], [$own['route'], $own['act']]);
        self::assertEquals(WindowPromises::of($runs, 0.9)->runs, $told['cautious'][0]['runs']);
        self::assertLessThan($told['bold'][0]['runs'], $told['cautious'][0]['runs']);
        // Whatever they are summed by, they are the same runs.
        foreach (['years', 'months'] as $by) {
            self::assertSame($own['runs'], array_sum(array_column($own[$by], 0)), $by);
            self::assertSame($own['harvests'], array_sum(array_column($own[$by], 1)), $by);
            self::assertEqualsWithDelta($own['promised'], array_sum(array_column($own[$by], 2)), 0.01, $by);
        }
        self::assertSame($own['runs'] - $own['harvests'], array_sum($own['lost']));
        self::assertArrayNotHasKey('harvest', $own['lost']);
        self::assertSame([], array_diff(array_keys($own['months']), range(1, 12)));
        self::assertLessThanOrEqual(count($own['years']) + 2, max(array_column($own['bins'], 3)));
    }

    /** Independent coin flips, year by year: what is promised comes to pass as often as it says, within the bands. */
    public function test_coin_flip_years_are_promised_what_they_keep(): void
    {
        mt_srand(15);
        $outcomes = [];
        $first = Day::of(1901, 1, 1);
        $days = Day::of(2001, 1, 1)->number - $first->number;
        $chance = [];
        for ($i = 0; $i < $days; $i++) {
            $day = $first->plus($i);
            // Half of the year at 0.9, half at 0.3, each whole half decided by one flip a year.
            $half = $day->yearDay()->number <= 182 ? 0 : 1;
            $chance[$day->year()][$half] ??= mt_rand() / mt_getrandmax() < [0.9, 0.3][$half];
            $outcomes[] = $chance[$day->year()][$half] ? Outcome::Harvest->code() : Outcome::Heat->code();
        }
        $zeros = array_fill(0, $days, 0);
        $promises = WindowPromises::of(new Runs($first, SowDays::from($first, $days), $outcomes, $zeros, $zeros, $zeros, $zeros), 0.8);
        $told = TrackRecord::of([
            [
                'crop' => 'coin',
                'name' => 'Coin',
                'family' => 'X',
                'promises' => [
                    [
                        'route' => 'direct',
                        'act' => 'sow-outdoors',
                        'runs' => $promises->runs,
                        'harvests' => $promises->harvests,
                        'promised' => $promises->runs * (float) $promises->promised,
                        'skill' => null,
                        'brier' => null,
                        'judged' => $promises->judged,
                        'bins' => array_map(
                            static fn (array $b, int $years): array => [$b[0], $b[0] * ($b[1] ?? 0.0), $b[2], $years],
                            $promises->bins,
                            $promises->binYears,
                        ),
                        'years' => $promises->years,
                        'months' => $promises->months,
                        'lost' => $promises->lost,
                    ],
                ],
            ],
        ]);
        self::assertGreaterThan(10_000, $told['total']['runs']);
        self::assertEqualsWithDelta(0.9, $told['total']['promised'], 0.05);
        [$coin] = $told['crops'];
        self::assertFalse($coin['short']);
        foreach ([$told['bins'][1], $told['bins'][4]] as $bin) {
            self::assertGreaterThanOrEqual($bin['low'], $bin['kept']);
            self::assertLessThanOrEqual($bin['high'], $bin['kept']);
        }
        self::assertSame(['heat' => $promises->runs - $promises->harvests], $promises->lost);
    }
}
