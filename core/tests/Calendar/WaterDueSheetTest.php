<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\WaterDueSheet;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;
use PHPUnit\Framework\TestCase;

final class WaterDueSheetTest extends TestCase
{
    private const TODAY = '2010-06-20';

    /** Ten years of the same warm day, dry but for the rain given by date. */
    private static function place(array $rain = [], ?DailyRecord $outlook = null): Place
    {
        $first = Day::of(2001, 1, 1);
        $today = Day::fromIso(self::TODAY);
        $days = $today->number - $first->number;
        $fallen = array_map(
            static fn (int $i): ?float => array_key_exists($first->plus($i)->iso(), $rain) ? $rain[$first->plus($i)->iso()] : 0.0,
            range(0, $days - 1),
        );
        $record = new DailyRecord($first, array_fill(0, $days, 12.0), array_fill(0, $days, 26.0), $fallen);
        $known = KnownRecord::of($record);

        return (new Place($known, $known, Latitude::of(45.0), LightSchool::Radiation, [Site::openGround()], CropBook::none()))
            ->inSeason($today, $outlook);
    }

    private static function due(
        Place $place,
        string $on,
        ?string $up,
        array $given = [],
        array $gauge = [],
        Route $route = Route::Direct,
    ): ?array {
        $bean = Fixtures::crops()->find('bush-bean') ?? self::fail('no bush bean');

        return WaterDueSheet::of(
            $place,
            $bean,
            $route,
            Ground::named('loam'),
            Day::fromIso($on),
            $up === null ? null : Day::fromIso($up),
            $given,
            $gauge,
        );
    }

    public function test_it_is_due_on_the_day_a_reckoning_by_hand_comes_to(): void
    {
        // By hand: roots, limit and use of each day from the day after it was seen up, added up until the limit is reached.
        $place = self::place();
        $bean = Fixtures::crops()->find('bush-bean') ?? self::fail('no bush bean');
        $water = WaterDays::of($place->known(), Latitude::of(45.0));
        $growth = Replay::ofPlace($place)->grown($bean);
        $irrigation = new Irrigation($water, Ground::named('loam'), $bean, Route::Direct, $growth);
        $first = $place->known()->first;
        $up = Day::of(2010, 6, 17)->number - $first->number;
        $gone = 0.0;
        // The weather is the same every day, so the day's use of last year stands for one that has not come yet.
        [$used, $mayUse] = $irrigation->course($up - 365, $up - 265);
        foreach ($used as $i => $use) {
            $day = $up + 1 + $i;
            $gone += $use;
            if ($gone >= $mayUse[$i]) {
                break;
            }
        }
        $told = self::due($place, '2010-06-01', '2010-06-17');
        self::assertNotNull($told);
        self::assertSame([8, true, null, null], [$told['of'], $told['up'], $told['since'], $told['rained']]);
        self::assertSame($first->plus($day)->iso(), $told['day']);
        self::assertEqualsWithDelta($gone, $told['mm'], 0.06);
        $later = self::due($place, '2010-06-01', '2010-06-17', ['2010-06-19' => null]);
        self::assertSame(
            [$first->plus($day + 3)->iso(), 0],
            [$later['day'] ?? null, $later['now'] ?? null],
            'full since yesterday evening',
        );
        $little = self::due($place, '2010-06-01', '2010-06-17', ['2010-06-19' => 1.0]);
        self::assertSame($told['day'], $little['day'] ?? null);
        self::assertEqualsWithDelta($told['mm'] - 1.0, $little['mm'] ?? null, 0.11);
    }

    public function test_what_nobody_watered_has_been_due_for_a_while_and_is_owed_no_more_than_roots_can_take(): void
    {
        $told = self::due(self::place(), '2010-05-01', '2010-05-10');
        self::assertNotNull($told);
        self::assertSame([8, self::TODAY], [$told['now'], $told['day']]);
        self::assertNotNull($told['since']);
        self::assertSame('2010-05-13', $told['since'], 'shallow roots, and three dry days');
        $bean = Fixtures::crops()->find('bush-bean') ?? self::fail('no bush bean');
        self::assertLessThanOrEqual(round(Ground::named('loam')->available($bean->watering->rootDepth()), 1), $told['mm']);
        $watered = self::due(self::place(), '2010-05-01', '2010-05-10', ['2010-06-19' => null]);
        self::assertSame([0, null], [$watered['now'] ?? null, ($watered ?? ['since' => 'none'])['since']]);
    }

    public function test_water_given_today_counts_before_it_is_judged(): void
    {
        $told = self::due(self::place(), '2010-05-01', '2010-05-10', [self::TODAY => null]);
        self::assertSame([0, 8], [$told['now'] ?? null, $told['of'] ?? null]);
        $little = self::due(self::place(), '2010-05-01', '2010-05-10', [self::TODAY => 1.0]);
        self::assertSame(8, $little['now'] ?? null);
    }

    public function test_rain_does_it_and_a_gauge_takes_the_place_of_the_station(): void
    {
        $rained = self::due(self::place(['2010-06-17' => 120.0]), '2010-05-01', '2010-05-10');
        self::assertSame([0, '2010-06-17'], [$rained['now'] ?? null, $rained['rained'] ?? null]);
        $long = self::due(self::place(['2010-06-10' => 120.0]), '2010-05-01', '2010-05-10');
        self::assertNull($long['rained'] ?? null, 'not of the last week');
        // The same downpour missed the garden, by its own gauge.
        $missed = self::due(self::place(['2010-06-17' => 120.0]), '2010-05-01', '2010-05-10', [], ['2010-06-17' => 0.0]);
        self::assertSame(8, $missed['now'] ?? null);
        $caught = self::due(self::place(), '2010-05-01', '2010-05-10', [], ['2010-06-17' => 120.0]);
        self::assertSame($rained, $caught);
        // Rain that is expected counts like any other.
        $outlook = new DailyRecord(Day::fromIso(self::TODAY), [12.0], [26.0], [120.0]);
        $expected = self::due(self::place([], $outlook), '2010-05-01', '2010-05-10');
        self::assertSame([0, null], [$expected['now'] ?? null, ($expected ?? ['rained' => 'none'])['rained']]);
    }

    public function test_a_sowing_that_is_not_up_has_its_seedbed_kept_moist(): void
    {
        $told = self::due(self::place(), '2010-06-18', null);
        self::assertNotNull($told);
        self::assertFalse($told['up']);
        self::assertSame(8, $told['now'], 'two dry warm days are enough for the top inch');
        $top = Ground::named('loam')->evaporable(0.025);
        self::assertGreaterThanOrEqual(round(0.5 * $top, 1), $told['mm']);
        self::assertLessThanOrEqual(round($top, 1), $told['mm']);
        $kept = self::due(self::place(), '2010-06-18', null, ['2010-06-19' => null]);
        self::assertSame([8, null], [$kept['now'] ?? null, ($kept ?? ['since' => 'none'])['since']], 'moist yesterday, dry by tonight');
        self::assertNotNull($told['since']);
        $up = self::due(self::place(), '2010-06-01', null);
        self::assertTrue($up['up'] ?? null, 'the model has it up by now');
        $setOut = self::due(self::place(), '2010-06-18', null, route: Route::Transplant);
        self::assertSame([true, 0], [$setOut['up'] ?? null, $setOut['now'] ?? null], 'set out, it has roots');
    }

    public function test_without_rain_on_record_of_late_nothing_is_told(): void
    {
        $unknown = array_fill_keys(array_map(static fn (int $i): string => Day::of(2010, 6, 10)->plus($i)->iso(), range(0, 3)), null);
        self::assertNull(self::due(self::place($unknown), '2010-06-01', '2010-06-12'));
        unset($unknown['2010-06-10']);
        self::assertNotNull(self::due(self::place($unknown), '2010-06-01', '2010-06-12'));
        self::assertNull(self::due(self::place(), '2007-06-01', '2007-06-12'), 'so long ago that this season begins after it');
        $dry = Fixtures::record('north');
        $known = KnownRecord::of($dry);
        $place = (new Place($known, $known, Fixtures::latitude('north'), LightSchool::Radiation, [Site::openGround()], CropBook::none()))
            ->inSeason($dry->last()->plus(1), null);
        self::assertNull(self::due($place, $dry->last()->plus(-10)->iso(), null));
    }
}
