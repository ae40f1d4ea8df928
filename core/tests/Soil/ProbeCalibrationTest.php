<?php

declare(strict_types=1);

namespace Anthesis\Tests\Soil;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\ProbeCalibration;
use Anthesis\Soil\ProbeReading;
use Anthesis\Soil\ReadingsRefused;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilDate;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ProbeCalibrationTest extends TestCase
{
    /**
     * Readings as a soil with another rate and offset would give them.
     *
     * @param  list<string>  $days
     * @return list<ProbeReading>
     */
    private function readings(DailyRecord $record, array $days, float $rate, float $offset, float $hour, float $depth = 0.05): array
    {
        $site = Site::openGround()->withRate($rate)->atDepth($depth);
        $soil = SoilTemperature::of($record, Fixtures::latitude('north'), $site)->dailyMean;

        return array_map(static function (string $iso) use ($record, $soil, $offset, $hour, $site, $depth): ProbeReading {
            $day = Day::fromIso($iso);
            $i = $day->number - $record->first->number;
            // dailyMean() takes a wave off; the reading must have it on.
            $wave = -ProbeCalibration::dailyMean(
                new ProbeReading($day, $hour, 0.0),
                (float) $record->minimum[$i],
                (float) $record->maximum[$i],
                $site,
            );

            return new ProbeReading($day, $hour, (float) $soil[$i] + $offset + $wave, $depth);
        }, $days);
    }

    public function test_a_few_readings_give_an_offset_drawn_towards_nothing(): void
    {
        $record = Fixtures::record('north');
        $calibration = ProbeCalibration::of(
            $record,
            Fixtures::latitude('north'),
            Site::openGround(),
            $this->readings($record, ['2005-04-10', '2005-04-14', '2005-04-20'], 1.0, 2.0, 15.0),
        );
        self::assertEqualsWithDelta((2.0 * 3) / 6, $calibration->offset, 1e-9);
        self::assertSame([false, 1.0, 3], [$calibration->rateFitted, $calibration->rate, $calibration->used]);
        self::assertEqualsWithDelta(2.0, $calibration->errorBefore, 1e-9);
        self::assertEqualsWithDelta(1.0, $calibration->errorAfter, 1e-9);
    }

    public function test_ten_readings_over_a_spring_find_the_rate_again(): void
    {
        $record = Fixtures::record('north');
        $days = [
            '2005-03-20',
            '2005-03-27',
            '2005-04-03',
            '2005-04-10',
            '2005-04-17',
            '2005-04-24',
            '2005-05-01',
            '2005-05-08',
            '2005-05-15',
            '2005-05-22',
            '2005-05-29',
            '2005-06-05',
        ];
        $calibration = ProbeCalibration::of(
            $record,
            Fixtures::latitude('north'),
            Site::openGround(),
            $this->readings($record, $days, 0.7, 1.5, 9.0),
        );
        self::assertTrue($calibration->rateFitted);
        self::assertEqualsWithDelta(0.7, $calibration->rate, 0.011);
        self::assertEqualsWithDelta((1.5 * 12) / 15, $calibration->offset, 0.05);
        self::assertLessThan($calibration->errorBefore, $calibration->errorAfter);
    }

    public function test_the_wave_is_highest_in_the_afternoon_and_flattens_with_depth(): void
    {
        $at = static fn (float $hour, Site $site): float => -ProbeCalibration::dailyMean(
            new ProbeReading(Day::of(2005, 5, 1), $hour, 0.0),
            4.0,
            20.0,
            $site,
        );
        $shallow = Site::openGround();
        self::assertGreaterThan(3.0, $at(16.0, $shallow));
        self::assertLessThan(-3.0, $at(4.0, $shallow));
        self::assertLessThan(0.3 * $at(16.0, $shallow), abs($at(16.0, $shallow->atDepth(0.3))));
    }

    public function test_readings_off_the_record_are_refused(): void
    {
        $this->expectException(ReadingsRefused::class);
        ProbeCalibration::of(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround(), [
            new ProbeReading(Day::of(1960, 5, 1), 9, 10),
        ]);
    }

    public function test_soil_holds_a_temperature_from_the_first_of_five_days_running(): void
    {
        $first = Day::of(2001, 1, 1);
        $air = array_fill(0, 1095, 2.0);
        foreach ([100, 465, 880] as $warm) {
            for ($i = $warm; $i < $warm + 60; $i++) {
                $air[$i] = 30.0;
            }
        }
        $air[50] = 40.0; // one warm day is not enough
        $site = new Site('quick', 0.0, 0.0, 9.0, 0.0);
        $soil = SoilTemperature::of(new DailyRecord($first, $air, $air), Latitude::of(46), $site);
        $date = SoilDate::of($soil, Latitude::of(46), 20.0);
        self::assertSame(3, $date->years);
        self::assertSame('04-11', $date->oneYearInTwo?->iso(), 'offsets 100, 100 and 150');
        self::assertSame('05-31', $date->fourYearsInFive?->iso());
        self::assertNull(SoilDate::of($soil, Latitude::of(46), 35.0)->oneYearInTwo);
        self::assertSame('01-01', SoilDate::of($soil, Latitude::of(46), 1.0)->oneYearInTwo?->iso());
    }

    /** Four warm days are none, five are, and they count from the first of them. */
    public function test_five_days_running_are_needed_and_counted_from_the_first(): void
    {
        $date = static function (int $warmDays): ?string {
            $air = array_fill(0, 730, 2.0);
            foreach ([100, 465] as $first) {
                for ($i = $first; $i < $first + $warmDays; $i++) {
                    $air[$i] = 30.0;
                }
            }

            // 0.95 of the way to the air each day: warm on the first warm day, and cool two days after the last.
            return SoilDate::of(
                SoilTemperature::of(
                    new DailyRecord(Day::of(2001, 1, 1), $air, $air),
                    Latitude::of(46),
                    new Site('quick', 0.0, 0.0, 9.0, 0.0),
                ),
                Latitude::of(46),
                20.0,
            )->oneYearInTwo?->iso();
        };
        self::assertSame([null, '04-11', '04-11'], [$date(4), $date(5), $date(6)]);
    }

    /** At 5 cm in soil of 0.6 mm²/s the wave is e^(−z/D) of half the day's swing, and z/D of a radian late. */
    public function test_the_wave_taken_off_is_that_of_the_formula(): void
    {
        $damping = 0.05 / sqrt((0.6e-6 * 86400) / M_PI);
        foreach ([0.0, 6.0, 8.5, 14.25, 23.0] as $hour) {
            $wave = 8.0 * exp(-$damping) * sin((2 * M_PI * ($hour - 8.5)) / 24 - $damping);
            self::assertEqualsWithDelta(
                12.0 - $wave,
                ProbeCalibration::dailyMean(new ProbeReading(Day::of(2005, 5, 1), $hour, 12.0), 2.0, 18.0, Site::openGround()),
                1e-9,
            );
        }
    }

    public function test_the_points_shown_are_the_reading_the_model_before_and_the_model_corrected(): void
    {
        $record = Fixtures::record('north');
        $calibration = ProbeCalibration::of(
            $record,
            Fixtures::latitude('north'),
            Site::openGround(),
            $this->readings($record, ['2005-04-10', '2005-04-14', '2005-04-20'], 1.0, 2.0, 15.0),
        );
        $soil = SoilTemperature::of($record, Fixtures::latitude('north'), Site::openGround())->dailyMean;
        foreach ($calibration->points as $point) {
            $model = (float) $soil[$point['day']->number - $record->first->number];
            self::assertEqualsWithDelta([$model + 2.0, $model, $model + 1.0], [$point['reading'], $point['before'], $point['after']], 1e-9);
        }
        self::assertCount(3, $calibration->points);
    }

    /** The rate is fitted from ten readings on, and from a span of eight degrees on. */
    #[TestWith([9, 20.0, false])]
    #[TestWith([10, 8.0, true])]
    #[TestWith([10, 7.9, false])]
    public function test_the_rate_is_fitted_from_ten_readings_over_eight_degrees(int $readings, float $span, bool $fitted): void
    {
        // No swing of the day, so that a reading is its daily mean.
        $record = new DailyRecord(Day::of(2001, 1, 1), array_fill(0, 60, 10.0), array_fill(0, 60, 10.0));
        $list = array_map(
            static fn (int $i): ProbeReading => new ProbeReading(Day::of(2001, 1, 20)->plus($i), 9.0, 10.0 + ($i === 0 ? $span : 0.0)),
            range(0, $readings - 1),
        );
        self::assertSame($fitted, ProbeCalibration::of($record, Latitude::of(46), Site::openGround(), $list)->rateFitted);
    }

    public function test_the_rates_tried_go_from_a_half_to_one_and_six_tenths(): void
    {
        $record = Fixtures::record('north');
        $days = [
            '2005-03-20',
            '2005-03-27',
            '2005-04-03',
            '2005-04-10',
            '2005-04-17',
            '2005-04-24',
            '2005-05-01',
            '2005-05-08',
            '2005-05-15',
            '2005-05-22',
            '2005-05-29',
            '2005-06-05',
        ];
        // Ten centimeters down, where even the fastest soil tried lags behind the air.
        $rate = fn (float $true): float => ProbeCalibration::of(
            $record,
            Fixtures::latitude('north'),
            Site::openGround(),
            $this->readings($record, $days, $true, 0.0, 9.0, 0.1),
        )->rate;
        self::assertEqualsWithDelta([0.5, 1.6], [$rate(0.3), $rate(2.2)], 1e-9);
    }
}
