<?php

declare(strict_types=1);

namespace Anthesis\Tests\Soil;

use Anthesis\Climate\Normals;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SoilTemperatureTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_soil_equals_the_reference_at_every_site(string $station): void
    {
        $record = Fixtures::record($station);
        foreach (Fixtures::json("soil-{$station}.json")['sites'] as $name => $case) {
            $p = $case['site'];
            $site = new Site($name, $p['air'], $p['sun'], $p['rate'], $p['protect'], $p['depth'], $p['diffusivity']);
            $soil = SoilTemperature::of($record, Fixtures::latitude($station), $site);
            foreach ($case['daily_mean'] as $iso => $celsius) {
                $actual = $soil->dailyMean[Day::fromIso($iso)->number - $record->first->number];
                self::assertEqualsWithDelta($celsius, $actual, 1e-3, "{$name} {$iso}");
            }
        }
    }

    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_normals_equal_the_reference(string $station): void
    {
        $record = Fixtures::record($station);
        $expected = Fixtures::json("soil-{$station}.json")['normals'];
        $soil = SoilTemperature::of($record, Fixtures::latitude($station), Site::openGround())->normals();
        $minimum = Normals::of($record->first, $record->minimum);
        foreach ($expected['soil'] as $day => $celsius) {
            self::assertEqualsWithDelta($celsius, $soil->on(YearDay::fromNumber($day)), 1e-3);
        }
        foreach ($expected['tmin'] as $day => $celsius) {
            self::assertEqualsWithDelta($celsius, $minimum->on(YearDay::fromNumber($day)), 1e-3);
        }
    }

    public function test_presets_are_those_of_the_reference(): void
    {
        foreach (['open ground', 'container', 'low tunnel'] as $name) {
            $p = Fixtures::json('soil-north.json')['sites'][$name]['site'];
            self::assertEquals(new Site($name, $p['air'], $p['sun'], $p['rate'], $p['protect']), Site::named($name));
        }
        self::assertCount(11, Site::names());
        self::assertEquals(Site::named('sun-facing wall'), Site::named('south wall'));
        $this->expectExceptionMessage('There is no site “greenhouse”');
        Site::named('greenhouse');
    }

    public function test_frozen_ground_follows_the_air_slowly(): void
    {
        $days = 60;
        $still = new Site('dark', 0.0, 0.0, 1.0, 0.0);
        $thaw = array_merge(array_fill(0, 30, -5.0), array_fill(0, 30, -15.0));
        $soil = SoilTemperature::of(new DailyRecord(Day::of(2001, 1, 1), $thaw, $thaw), Fixtures::latitude('north'), $still)->dailyMean;
        $rate = exp(-0.05 * sqrt(M_PI / (0.6e-6 * 86400)));
        self::assertEqualsWithDelta(-5.0 - 0.3 * $rate * 10, $soil[30], 1e-9);
        self::assertCount($days, $soil);
    }

    public function test_normals_ask_for_every_day_of_the_year(): void
    {
        $this->expectException(RecordTooShort::class);
        $this->expectExceptionMessage('day-never-measured","with":{"day":{"key":"day","with":{"day":31,"month":12}}}');
        Normals::of(Day::of(2001, 1, 1), array_fill(0, 364, 1.0));
    }

    /** Soil starts from the mean of the first ten days, and moves each day a share of the way to the air; at most 0.95 of it. */
    public function test_soil_starts_from_ten_days_and_never_jumps_to_the_air(): void
    {
        $air = [...array_fill(0, 10, 10.0), ...array_fill(0, 20, 30.0)];
        $soil = static fn (float $rate): array => SoilTemperature::of(
            new DailyRecord(Day::of(2001, 6, 1), $air, $air),
            Fixtures::latitude('north'),
            new Site('flat', 0.0, 0.0, $rate, 0.0),
        )->dailyMean;
        self::assertEqualsWithDelta([10.0, 10.0, 29.0, 29.95], [$soil(99.0)[0], $soil(99.0)[9], $soil(99.0)[10], $soil(99.0)[11]], 1e-9);
        $uneven = [0.0, ...array_fill(0, 9, 10.0), ...array_fill(0, 20, 100.0)];
        $first = SoilTemperature::of(
            new DailyRecord(Day::of(2001, 6, 1), $uneven, $uneven),
            Fixtures::latitude('north'),
            new Site('flat', 0.0, 0.0, 0.0, 0.0),
        )->dailyMean;
        self::assertEqualsWithDelta(9.0, $first[0], 1e-9, 'nothing moves it, so it stays at the mean of ten days');
    }

    /** Frozen at 0.5 °C or below under air below 0 °C: then it follows three tenths as fast. */
    #[TestWith([0.5, -1.0, 0.3])]
    #[TestWith([0.51, -1.0, 1.0])]
    #[TestWith([0.5, 0.0, 1.0])]
    public function test_soil_counts_as_frozen_to_the_very_tenth(float $start, float $air, float $share): void
    {
        $days = [...array_fill(0, 10, $start), $air];
        $soil = SoilTemperature::of(
            new DailyRecord(Day::of(2001, 1, 1), $days, $days),
            Fixtures::latitude('north'),
            new Site('dark', 0.0, 0.0, 0.5, 0.0),
        )->dailyMean;
        $rate = 0.5 * exp(-0.05 * sqrt(M_PI / (0.6e-6 * 86400)));
        self::assertEqualsWithDelta($start + $share * $rate * ($air - $start), $soil[10], 1e-9);
    }

    public function test_a_day_of_which_only_one_end_is_known_has_no_soil(): void
    {
        $day = static fn (?float $last): ?float => SoilTemperature::of(
            new DailyRecord(Day::fromIso('2010-05-01'), [5.0, 6.0, 7.0], [15.0, 16.0, $last]),
            Fixtures::latitude('north'),
            Site::openGround(),
        )->dailyMean[2];
        self::assertNotNull($day(17.0));
        self::assertNull($day(null));
    }
}
