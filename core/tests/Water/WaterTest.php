<?php

declare(strict_types=1);

namespace Anthesis\Tests\Water;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Crop\Watering;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Run;
use Anthesis\Soil\Ground;
use Anthesis\Tests\Fixtures;
use Anthesis\Water\Due;
use Anthesis\Water\Irrigation;
use Anthesis\Water\TopSoil;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Watered;
use Anthesis\Water\Workable;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The parts of the water balance, on weather that is easy to reckon by hand. */
final class WaterTest extends TestCase
{
    private static function days(array $minimum, array $maximum, ?array $rain, ?array $snow = null): WaterDays
    {
        return WaterDays::of(new DailyRecord(Day::of(2001, 1, 1), $minimum, $maximum, $rain, $snow), Latitude::of(45.0));
    }

    /** FAO Irrigation and Drainage Paper 56, table 19, rounded; docs/method.md. */
    #[TestWith(['sand', 75.0, 9.75, 5.0, 0.10])]
    #[TestWith(['sandy loam', 120.0, 17.5, 8.0, 0.15])]
    #[TestWith(['loam', 130.0, 19.0, 10.0, 0.25])]
    #[TestWith(['silt loam', 140.0, 21.5, 10.0, 0.30])]
    #[TestWith(['clay', 140.0, 25.0, 10.0, 0.35])]
    #[TestWith(['bed mix', 180.0, 24.0, 8.0, 0.10])]
    public function test_each_kind_of_ground_holds_what_the_table_says(
        string $name,
        float $availablePerMetre,
        float $evaporable,
        float $readily,
        float $shareToDry,
    ): void {
        $ground = Ground::named($name);
        self::assertEqualsWithDelta($availablePerMetre, $ground->available(1.0), 1e-9);
        self::assertEqualsWithDelta($evaporable, $ground->evaporable(0.1), 1e-9);
        self::assertEqualsWithDelta([$readily, $shareToDry], [$ground->readily(0.1), $ground->shareToDry], 1e-9);
    }

    public function test_a_ground_is_known_by_the_water_it_holds(): void
    {
        $loam = Ground::named('loam');
        self::assertEqualsWithDelta(1000 * (0.25 - 0.06) * 0.1, $loam->evaporable(0.1), 1e-9);
        self::assertEqualsWithDelta(10.0, $loam->readily(0.1), 1e-9);
        self::assertEqualsWithDelta(2.5, $loam->readily(0.025), 1e-9);
        self::assertEqualsWithDelta(65.0, $loam->available(0.5), 1e-9);
        // Sand holds so little that nine tenths of it are the most that goes readily: 9.75 mm in 10 cm, 5 of them readily.
        self::assertEqualsWithDelta(5.0, Ground::named('sand')->readily(0.1), 1e-9);
        self::assertEqualsWithDelta(0.9 * 1.0, (new Ground('thin', 0.01, 0.0, 8.0, 0.1))->readily(0.1), 1e-9);
        self::assertSame(['sand', 'sandy loam', 'loam', 'silt loam', 'clay', 'bed mix'], Ground::names());
        $this->expectException(InvalidArgumentException::class);
        Ground::named('moon dust');
    }

    public function test_the_air_takes_what_warmth_and_the_span_of_the_day_let_it(): void
    {
        $water = self::days([10.0, 10.0, -30.0], [20.0, 10.0, -20.0], [0.0, 0.0, 0.0]);
        $ra = \Anthesis\Sun\Radiation::throughTheYear(Latitude::of(45.0))[0];
        self::assertEqualsWithDelta(0.0023 * 32.8 * sqrt(10) * 0.408 * $ra, $water->et0[0], 1e-9);
        self::assertSame([0.0, 0.0], [$water->et0[1], $water->et0[2]], 'nothing without a span, and never less than nothing');
    }

    public function test_snow_lies_until_it_melts(): void
    {
        // Snow at a mean of exactly 1 °C, melting by three millimeters a degree; then rain on what is left.
        $water = self::days([0.0, -5.0, 0.0, 2.0], [2.0, -3.0, 4.0, 6.0], [10.0, 4.0, 0.0, 5.0]);
        self::assertEqualsWithDelta([7.0, 11.0, 5.0, 0.0], $water->pack, 1e-9);
        self::assertEqualsWithDelta([3.0, 0.0, 6.0, 10.0], $water->reaching, 1e-9);
        self::assertSame([true, true, true, false], $water->covered);
        $bare = self::days([5.0, 5.0], [15.0, 15.0], [0.0, 0.0], [0.0, 2.0]);
        self::assertSame([false, true], $bare->covered, 'snow as it was measured');
    }

    public function test_a_span_lacks_rain_when_more_than_one_day_in_ten_does(): void
    {
        $rain = array_fill(0, 20, 1.0);
        $rain[3] = $rain[4] = null;
        $water = self::days(array_fill(0, 20, 5.0), array_fill(0, 20, 15.0), $rain);
        self::assertTrue($water->knowsRain(0, 19), 'two of twenty');
        self::assertFalse($water->knowsRain(0, 18), 'two of nineteen');
        self::assertTrue($water->knowsRain(5, 14));
        self::assertFalse($water->knowsRain(4, 4));
        self::assertEqualsWithDelta(0.0, $water->reaching[3], 1e-12, 'what is missing counts as none');
    }

    public function test_days_in_a_long_gap_are_not_told(): void
    {
        $minimum = array_fill(0, 40, 5.0);
        for ($i = 10; $i < 21; $i++) {
            $minimum[$i] = null;
        }
        $minimum[30] = null;
        $water = self::days($minimum, array_fill(0, 40, 15.0), array_fill(0, 40, 0.0));
        self::assertFalse($water->isTold[10]);
        self::assertFalse($water->isTold[20]);
        self::assertTrue($water->isTold[9] && $water->isTold[21] && $water->isTold[30]);
        $workable = Workable::of($water, Ground::named('sand'));
        self::assertSame([false, true], [$workable->days[20], $workable->days[21]]);
        self::assertGreaterThan(0.0, $water->et0[15], 'the sums run on');
    }

    public function test_the_top_dries_readily_first_and_then_ever_more_slowly(): void
    {
        $top = new TopSoil(Ground::named('loam'), 0.1);
        self::assertEqualsWithDelta(4.6, $top->dried(0.0, 0.0, 4.0), 1e-9, '1.15 times what the air takes');
        self::assertEqualsWithDelta(10.0 + 4.6, $top->dried(10.0, 0.0, 4.0), 1e-9, 'still readily');
        self::assertEqualsWithDelta(14.5 + 4.6 * 0.5, $top->dried(14.5, 0.0, 4.0), 1e-9, 'half of what is left');
        self::assertEqualsWithDelta(19.0, $top->dried(18.0, 0.0, 40.0), 1e-9, 'never more than there is');
        self::assertEqualsWithDelta(0.0, $top->dried(2.0, 30.0, 1.0), 1e-9);
        self::assertEqualsWithDelta(3.0, $top->wetted(5.0, 2.0), 1e-9, 'under snow it only gets wetter');
    }

    public function test_the_first_workable_day_begins_three_running(): void
    {
        // Dry and warm from the start, with rain that closes the ground every third day, until the twentieth.
        $rain = array_map(static fn (int $i): float => $i < 20 && $i % 3 === 2 ? 30.0 : 0.0, range(0, 199));
        $water = WaterDays::of(
            new DailyRecord(Day::of(2001, 1, 1), array_fill(0, 200, 10.0), array_fill(0, 200, 30.0), $rain),
            Latitude::of(45.0),
        );
        $workable = Workable::of($water, Ground::named('bed mix'));
        $first = $workable->first(Latitude::of(45.0));
        self::assertSame([2001], array_keys($first));
        $day = $first[2001] ?? self::fail();
        self::assertSame([true, true, true], array_slice($workable->days, $day->number - 1, 3));
        self::assertFalse($workable->days[$day->number - 2]);
        self::assertSame([], $workable->first(Latitude::of(-45.0)), 'its half-year begins in July, and is not all on record');
        self::assertEquals(1.0, $workable->shares()[150], 'one year, and it can be worked on each of the seven days');
        self::assertNull($workable->shares()[300]);
    }

    public function test_a_first_workable_day_may_be_the_last_of_the_half_year_and_no_later(): void
    {
        $of = static function (int $dryFrom): array {
            $rain = array_map(static fn (int $i): float => $i < $dryFrom ? 60.0 : 0.0, range(0, 199));
            $water = WaterDays::of(
                new DailyRecord(Day::of(2001, 1, 1), array_fill(0, 200, 12.0), array_fill(0, 200, 36.0), $rain),
                Latitude::of(45.0),
            );
            $workable = Workable::of($water, Ground::named('sand'));

            return [(int) array_search(true, $workable->days, true), $workable->first(Latitude::of(45.0))[2001] ?? null];
        };
        // Sand is fit on the day the rain ends: as the 182nd of the year it is a first day, as the 183rd it comes too late.
        [$fit, $first] = $of(181);
        self::assertSame([181, 182], [$fit, $first?->number]);
        [$fit, $first] = $of(182);
        self::assertSame([182, null], [$fit, $first]);
    }

    public function test_how_often_ground_can_be_worked_is_the_mean_of_seven_days(): void
    {
        // It rains every day but the hundredth of the year, on which sand is fit.
        $rain = array_fill(0, 365, 20.0);
        $rain[99] = 0.0;
        $record = new DailyRecord(Day::of(2001, 1, 1), array_fill(0, 365, 12.0), array_fill(0, 365, 36.0), $rain);
        $workable = Workable::of(WaterDays::of($record, Latitude::of(45.0)), Ground::named('sand'));
        self::assertSame([99], array_keys($workable->days, true, true));
        self::assertSame(1, $workable->count());
        $shares = array_map(static fn (?float $share): float => round((float) $share, 6), $workable->shares());
        self::assertSame(
            [0.0, ...array_fill(0, 7, round(1 / 7, 6)), 0.0],
            array_slice($shares, 95, 9),
            'three days before to three days after',
        );
        self::assertSame(7, count(array_filter($shares)));
        // The same in the year after, and a third year in which it rains on that day too.
        $three = new DailyRecord(
            $record->first,
            array_fill(0, 3 * 365, 12.0),
            array_fill(0, 3 * 365, 36.0),
            [...$rain, ...$rain, ...array_fill(0, 365, 20.0)],
        );
        $fit = Workable::of(WaterDays::of($three, Latitude::of(45.0)), Ground::named('sand'));
        self::assertSame([99, 464], array_keys($fit->days, true, true));
        self::assertEqualsWithDelta(array_fill(0, 7, 2 / 3 / 7), array_slice($fit->shares(), 96, 7), 1e-12);
    }

    private static function crop(?string $thirst = null, ?float $root = null, ?float $depletion = null, ?float $late = null): Crop
    {
        $crop = Fixtures::crops()->find('carrot') ?? self::fail('no carrot');

        return $crop->with(watering: new Watering($thirst, $root, $depletion, $late));
    }

    private static function irrigation(Crop $crop, ?WaterDays $water = null, array $growth = [0.0]): Irrigation
    {
        $water ??= self::days([10.0], [20.0], [0.0]);

        return new Irrigation($water, Ground::named('loam'), $crop, Route::Direct, $growth);
    }

    /** @return array{float, float} water use in reference evapotranspirations, and mm its roots may use, of a crop grown by so great a share */
    private static function grown(Crop $crop, float $share): array
    {
        $water = self::days([10.0, 10.0], [20.0, 20.0], [0.0, 0.0]);
        $growth = [0.0, 0.0, $share * (new Maturity($crop))->growthDays(Route::Direct)];
        [$used, $mayUse] = self::irrigation($crop, $water, $growth)->course(0, 1);

        return [$used[0] / $water->et0[1], $mayUse[0]];
    }

    public function test_water_use_rises_with_growth_and_falls_at_the_end(): void
    {
        $of = static fn (Crop $crop, float $share): float => self::grown($crop, $share)[0];
        $thirsty = self::crop('high', late: 0.75);
        self::assertEqualsWithDelta(0.6, $of($thirsty, 0.25), 1e-9);
        self::assertEqualsWithDelta(0.6 + (0.175 / 0.35) * 0.55, $of($thirsty, 0.425), 1e-9);
        self::assertEqualsWithDelta(1.15, $of($thirsty, 0.6), 1e-9);
        self::assertEqualsWithDelta(1.15, $of($thirsty, 0.8), 1e-9);
        self::assertEqualsWithDelta(0.95, $of($thirsty, 0.9), 1e-9);
        self::assertEqualsWithDelta(0.75, $of($thirsty, 1.5), 1e-9);
        self::assertEqualsWithDelta(1.05, $of(self::crop(), 1.0), 1e-9, 'usual, and as in mid season to the end');
        self::assertEqualsWithDelta(0.95, $of(self::crop('low'), 0.7), 1e-9);
    }

    public function test_roots_reach_deeper_as_it_grows(): void
    {
        $of = static fn (Crop $crop, float $share): float => self::grown($crop, $share)[1];
        $deep = self::crop(root: 80.0, depletion: 0.5);
        self::assertEqualsWithDelta(0.5 * 130 * 0.1, $of($deep, 0.0), 1e-9);
        self::assertEqualsWithDelta(0.5 * 130 * 0.45, $of($deep, 0.3), 1e-9);
        self::assertEqualsWithDelta(0.5 * 130 * 0.8, $of($deep, 0.6), 1e-9);
        self::assertEqualsWithDelta(0.5 * 130 * 0.8, $of($deep, 1.0), 1e-9);
        self::assertEqualsWithDelta(0.4 * 130 * 0.5, $of(self::crop(), 1.0), 1e-9, 'as most');
        self::assertEqualsWithDelta(0.4 * 130 * 0.1, $of(self::crop(root: 5.0), 1.0), 1e-9, 'at least ten centimeters');
    }

    public function test_a_row_is_kept_moist_until_it_is_up_and_watered_when_it_has_used_its_share(): void
    {
        $n = 120;
        $water = self::days(array_fill(0, $n, 12.0), array_fill(0, $n, 30.0), array_fill(0, $n, 0.0));
        $growth = range(0, $n);
        $run = static fn (Outcome $o): Run => new Run(Day::of(2001, 1, 2), $o, 80, 20, Day::of(2001, 1, 12), Day::of(2001, 4, 12));
        $irrigation = self::irrigation(self::crop(), $water, array_map(floatval(...), $growth));
        self::assertSame([], $irrigation->of([$run(Outcome::FreezeLate)]), 'of what came to harvest alone');
        $watered = $irrigation->of([$run(Outcome::Harvest)])[2001] ?? self::fail();
        // All that is used is given back, but for what is missing at the end.
        [$daily, $mayUse] = $irrigation->course(11, 100);
        self::assertCount(89, $daily);
        $used = array_sum($daily);
        self::assertGreaterThan($used - max($mayUse), $watered->millimetres);
        self::assertLessThanOrEqual($used + 1e-9, $watered->millimetres);
        self::assertGreaterThan(1, $watered->waterings);
        self::assertGreaterThan(0, $watered->sprinklings);
        $weeks = array_map(static fn (int $i): float => array_sum(array_slice($daily, $i, 7)), range(0, count($daily) - 7));
        self::assertEqualsWithDelta(max($weeks), $watered->thirstiestWeek, 1e-9);
        self::assertEqualsWithDelta($watered->millimetres * 0.3 * 2, $watered->litres(0.3, 2.0), 1e-9);
        $wet = self::days(array_fill(0, $n, 12.0), array_fill(0, $n, 30.0), array_fill(0, $n, 20.0));
        $none =
            self::irrigation(self::crop(), $wet, array_map(floatval(...), $growth))->of([$run(Outcome::Harvest)])[2001] ??
            self::fail();
        self::assertEquals(new Watered(0, 0.0, $watered->thirstiestWeek, 0), $none, 'rain did it');
    }

    public function test_rain_did_it_only_where_it_fell_before_today(): void
    {
        $n = 60;
        $growth = array_map(floatval(...), range(0, $n));
        $of = static function (int $rainOn, int $today) use ($n, $growth): Due {
            $rain = array_fill(0, $n, 0.0);
            $rain[$rainOn] = 100.0;
            $water = self::days(array_fill(0, $n, 12.0), array_fill(0, $n, 30.0), $rain);

            return self::irrigation(self::crop(), $water, $growth)->due(2, [], $today, $n - 1);
        };
        $dry = $of($n - 1, 3);
        self::assertNotNull($dry->day, 'without rain it is due some day');
        $due = (int) $dry->day;
        $yesterday = $of($due + 4, $due + 5);
        self::assertSame([$due + 4, null], [$yesterday->rained, $yesterday->since]);
        self::assertGreaterThan($due + 5, $yesterday->day);
        $today = $of($due + 5, $due + 5);
        self::assertNull($today->rained, 'it is yet to fall');
        self::assertGreaterThan($due + 5, $today->day);
        $waits = $of($n - 1, $due + 5);
        self::assertSame([$due + 5, $due], [$waits->day, $waits->since]);
    }

    public function test_nothing_is_due_where_the_outlook_ends_before_it(): void
    {
        $water = self::days(array_fill(0, 6, 12.0), array_fill(0, 6, 30.0), array_fill(0, 6, 0.0));
        $none = self::irrigation(self::crop(), $water, array_map(floatval(...), range(0, 6)))->due(0, [], 1, 3);
        self::assertEquals(new Due(null, 0.0, null, null), $none);
    }
}
