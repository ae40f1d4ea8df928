<?php

declare(strict_types=1);

namespace Anthesis\Tests\Soil;

use Anthesis\Soil\ReadingsRefused;
use Anthesis\Soil\Settling;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SettlingTest extends TestCase
{
    /**
     * @param  list<float>  $seconds
     * @return list<array{float, float}> what a probe shows on its way from one temperature to another
     */
    private function fall(float $from, float $to, float $timeConstant, array $seconds, int $digits = 6): array
    {
        return array_map(static fn (float $s): array => [$s, round($to + ($from - $to) * exp(-$s / $timeConstant), $digits)], $seconds);
    }

    /** The three numbers of an exponential come out of exact figures, whatever the pace they are read at and the side they come from. */
    #[TestWith([21.0, 9.4, 20.0])]
    #[TestWith([21.0, 9.4, 120.0])]
    #[TestWith([2.0, 17.3, 45.0])]
    #[TestWith([15.0, -1.5, 30.0])]
    public function test_exact_figures_give_the_temperature_they_settle_at(float $from, float $to, float $timeConstant): void
    {
        $fit = Settling::of($this->fall($from, $to, $timeConstant, [0.0, 11.0, 19.0, 33.0, 47.0, 60.0, 78.0, 90.0]));
        self::assertEqualsWithDelta($to, $fit->celsius, 0.005);
        self::assertEqualsWithDelta($timeConstant, $fit->timeConstant, $timeConstant * 0.005);
        self::assertEqualsWithDelta(abs($from - $to) * exp(-90 / $timeConstant), $fit->toGo, 0.01);
    }

    /** The first figure may be read any time after the probe was put in. */
    public function test_only_the_time_between_figures_counts(): void
    {
        $fit = Settling::of($this->fall(21.0, 9.4, 30.0, [100.0, 110.0, 120.0, 130.0, 150.0]));
        self::assertEqualsWithDelta(9.4, $fit->celsius, 0.005);
        self::assertEqualsWithDelta(11.6 * exp(-150 / 30), $fit->toGo, 0.005);
    }

    /** A quick probe that was looked at late. */
    public function test_a_late_first_figure_does_not_hide_a_short_time_constant(): void
    {
        $fit = Settling::of(
            array_map(static fn (array $f): array => [$f[0] + 1000.0, $f[1]], $this->fall(21.0, 9.4, 3.0, [0.0, 4.0, 8.0, 12.0, 16.0])),
        );
        self::assertEqualsWithDelta([9.4, 3.0], [$fit->celsius, $fit->timeConstant], 0.01);
    }

    /**
     * Against the standard error of nonlinear least squares reckoned by hand for five figures, and Student's t for the two
     * degrees of freedom they leave: the columns of J are 1, e^(−t/τ) and (T₀ − T∞) e^(−t/τ) t/τ.
     */
    public function test_how_sure_it_is_is_the_interval_of_the_fit(): void
    {
        $seconds = [0.0, 20.0, 40.0, 60.0, 100.0];
        $fit = Settling::of($this->fall(20.0, 10.0, 25.0, $seconds));
        $j = array_map(static fn (float $t): array => [1.0, ($x = exp(-$t / 25)), (10 * $x * $t) / 25], $seconds);
        $m = [];
        for ($a = 0; $a < 3; $a++) {
            for ($b = 0; $b < 3; $b++) {
                $m[$a][$b] = array_sum(array_map(static fn (array $row): float => $row[$a] * $row[$b], $j));
            }
        }
        $determinant =
            $m[0][0] * ($m[1][1] * $m[2][2] - $m[1][2] ** 2) -
            $m[0][1] * ($m[0][1] * $m[2][2] - $m[1][2] * $m[0][2]) +
            $m[0][2] * ($m[0][1] * $m[1][2] - $m[1][1] * $m[0][2]);
        $error = (sqrt(($m[1][1] * $m[2][2] - $m[1][2] ** 2) / $determinant) * 0.1) / sqrt(12);
        self::assertEqualsWithDelta(2.92 * $error, (float) $fit->within, 0.002 * $error * 2.92 + 1e-4);
    }

    /** Student's t beyond its table, 95%: 1.9432, 1.8125 and 1.7247 for 6, 10 and 20 degrees of freedom. */
    #[TestWith([6, 1.9432])]
    #[TestWith([10, 1.8125])]
    #[TestWith([20, 1.7247])]
    public function test_many_figures_are_judged_by_students_t(int $freedom, float $t): void
    {
        // Figures that stand still: the interval of a mean, of digits alone.
        $fit = Settling::of(array_map(static fn (int $i): array => [(float) $i, 12.0], range(0, $freedom)));
        self::assertEqualsWithDelta(
            ($t * 0.1) / sqrt(12) / sqrt($freedom + 1),
            (float) $fit->within,
            (($freedom < 10 ? 0.0004 : 0.0001) * 0.1) / sqrt(12) / sqrt($freedom + 1),
            'as near as the expansion comes',
        );
        self::assertSame([12.0, 0.0, 0.0, true], [$fit->celsius, $fit->timeConstant, $fit->toGo, $fit->isSettled()]);
    }

    /** Scattered by 0.1 °C about a mean, the figures' own scatter counts. */
    public function test_figures_that_stand_still_are_their_mean(): void
    {
        $fit = Settling::of([[0.0, 9.3], [10.0, 9.4], [20.0, 9.3], [30.0, 9.4]]);
        self::assertEqualsWithDelta(9.35, $fit->celsius, 1e-9);
        self::assertEqualsWithDelta((2.3534 * sqrt(0.01 / 3)) / 2, (float) $fit->within, 1e-4);
        self::assertTrue($fit->isSettled());
        // A tenth more between the highest and the lowest, and they are held to move.
        self::assertGreaterThan(0.0, Settling::of([[0.0, 9.5], [10.0, 9.4], [20.0, 9.35], [30.0, 9.34]])->timeConstant);
    }

    public function test_it_is_settled_when_little_is_left_and_that_is_sure(): void
    {
        $of = fn (float $until): Settling => Settling::of($this->fall(21.0, 9.4, 22.0, array_map(floatval(...), range(0, $until, 10)), 1));
        self::assertFalse($of(50)->isSettled(), '1.2 °C to go');
        self::assertTrue($of(100)->isSettled(), '0.1 °C to go');
        self::assertEqualsWithDelta(9.4, $of(100)->celsius, 0.1);
        // Four figures of the far end are near their end, but say little of where it is.
        $few = Settling::of([[0.0, 10.0], [5.0, 9.7], [10.0, 9.5], [15.0, 9.4]]);
        self::assertSame([true, false], [$few->toGo <= 0.2, $few->isSettled()]);
    }

    public function test_what_moves_along_a_straight_line_has_no_end_to_be_told(): void
    {
        $fit = Settling::of([[0.0, 20.0], [10.0, 19.0], [20.0, 18.0], [30.0, 17.0], [40.0, 16.0]]);
        self::assertNull($fit->within);
        self::assertFalse($fit->isSettled());
    }

    /** @param  list<array{float, float}>  $figures */
    #[TestWith([[[0.0, 20.0], [10.0, 15.0], [20.0, 12.0]], 'error.settling.too-few'])]
    #[TestWith([[[0.0, 20.0], [10.0, 15.0], [10.0, 12.0], [30.0, 11.0]], 'error.settling.time'])]
    #[TestWith([[[10.0, 20.0], [10.0, 15.0], [20.0, 12.0], [30.0, 11.0]], 'error.settling.time', 2])]
    #[TestWith([[[-1.0, 20.0], [10.0, 15.0], [20.0, 12.0], [30.0, 11.0]], 'error.settling.time'])]
    #[TestWith([[[0.0, 20.0], [10.0, 80.1], [20.0, 12.0], [30.0, 11.0]], 'error.settling.range'])]
    #[TestWith([[[0.0, 20.0], [10.0, -40.1], [20.0, 12.0], [30.0, 11.0]], 'error.settling.range'])]
    public function test_figures_that_cannot_be_fitted_are_refused_with_the_reason(array $figures, string $why, int $late = 3): void
    {
        try {
            Settling::of($figures);
            self::fail('it was fitted');
        } catch (ReadingsRefused $refused) {
            self::assertSame($why, $refused->why->key);
            self::assertContains(
                $refused->why->with['figure'] ?? null,
                $why === 'error.settling.time' && $figures[0][0] >= 0.0 ? [$late] : ($why === 'error.settling.range' ? [2] : [1, null]),
                'the figure is named',
            );
        }
    }

    public function test_a_figure_at_either_end_of_what_a_thermometer_shows_is_taken(): void
    {
        self::assertGreaterThan(-41.0, Settling::of([[0.0, 80.0], [10.0, 0.0], [20.0, -30.0], [30.0, -40.0]])->toGo);
    }
}
