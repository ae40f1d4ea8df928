<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\SowingWater;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class SowingWaterTest extends TestCase
{
    private static function place(DailyRecord $record, Latitude $latitude): Place
    {
        $known = KnownRecord::of($record);

        return new Place($known, $known, $latitude, LightSchool::Radiation, [Site::openGround()], CropBook::none());
    }

    public function test_it_is_the_spread_of_the_years_on_record_on_each_ground(): void
    {
        $place = self::place(Fixtures::record('north-rain'), Fixtures::latitude('north'));
        $seen = 0;
        foreach (Fixtures::json('irrigation-north.json') as $case) {
            $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
            $told = SowingWater::of($place, $crop, Route::from($case['route']), YearDay::fromIso($case['sown']));
            // The quantiles of three values are the least, the middle and the greatest.
            if (count($case['years']) !== 3) {
                self::assertSame(count($case['years']), $told['years'] ?? null);

                continue;
            }
            self::assertNotNull($told);
            $water = array_column($told['grounds'], null, 'ground')[$case['ground']];
            foreach (['waterings', 'mm', 'week', 'sprinklings'] as $at => $of) {
                $values = array_map(static fn (int|float $v): float => round($v, 1), array_column($case['years'], $at));
                sort($values);
                self::assertEqualsWithDelta($values, $water[$of], 0.11, "{$of} of {$case['crop']} on {$case['ground']}");
            }
            self::assertSame([3, 0], [$told['years'], $told['enough']], 'all used more than an inch in their thirstiest week');
            self::assertSame($crop->spacing->rowCm, $told['row_cm']);
            self::assertEqualsWithDelta($water['mm'][1] * $crop->spacing->rowCm / 100, $water['litres_per_m'], 0.051);
            $seen++;
        }
        self::assertSame(15, $seen);
    }

    public function test_without_rain_on_record_or_without_a_harvest_there_is_none(): void
    {
        $dry = self::place(Fixtures::record('north'), Fixtures::latitude('north'));
        $radish = Fixtures::crops()->find('radish') ?? self::fail('no radish');
        self::assertNull(SowingWater::of($dry, $radish, Route::Direct, YearDay::of(4, 20)));
        $place = self::place(Fixtures::record('north-rain'), Fixtures::latitude('north'));
        $winter = SowingWater::of($place, $radish, Route::Direct, YearDay::of(12, 20));
        self::assertSame([0, 0, []], [$winter['years'] ?? null, $winter['enough'] ?? null, $winter['grounds'] ?? null]);
        self::assertNotNull(SowingWater::of($place, $radish, Route::Direct, YearDay::of(4, 20)));
    }

    public function test_an_inch_a_week_is_enough_where_no_week_uses_more(): void
    {
        // The same day over and over, without a drop of rain: what radish uses in a week follows from its span of temperatures alone.
        $days = 3 * 365;
        $told = static fn (float $maximum): array => SowingWater::of(
            self::place(
                new DailyRecord(Day::of(2001, 1, 1), array_fill(0, $days, 10.0), array_fill(0, $days, $maximum), array_fill(0, $days, 0.0)),
                Latitude::of(0.5),
            ),
            Fixtures::crops()->find('radish') ?? self::fail('no radish'),
            Route::Direct,
            YearDay::of(3, 1),
        ) ?? self::fail('it is harvested');
        [$mild, $warm] = [$told(15.0), $told(24.0)];
        self::assertSame([2, 2, 0], [$mild['years'], $mild['enough'], $warm['enough']]);
        self::assertLessThan(25.4, $mild['grounds'][0]['week'][2]);
        self::assertGreaterThan(25.4, $warm['grounds'][0]['week'][0]);
        self::assertSame($warm['grounds'][0]['week'], $warm['grounds'][4]['week'], 'what a crop uses is the same on every ground');
        self::assertGreaterThan($warm['grounds'][2]['waterings'][1], $warm['grounds'][0]['waterings'][1], 'sand is watered oftener');
    }
}
