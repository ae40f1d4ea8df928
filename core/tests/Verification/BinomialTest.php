<?php

declare(strict_types=1);

namespace Anthesis\Tests\Verification;

use Anthesis\Verification\Binomial;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BinomialTest extends TestCase
{
    /**
     * By hand: of 10 fair coins P(≤1) = 11/1024, P(≤2) = 56/1024 = 0.055, P(≤7) = 0.945, P(≤8) = 0.989; of 2 at 0.8 the chances are
     * 0.04, 0.32, 0.64; of 20 at 0.8 P(≤12) = 0.032, P(≤13) = 0.087, P(≤18) = 0.931, P(≤19) = 0.988.
     */
    #[TestWith([10, 0.5, 2, 8])]
    #[TestWith([2, 0.8, 1, 2])]
    #[TestWith([20, 0.8, 13, 19])]
    #[TestWith([1, 0.97, 1, 1])]
    #[TestWith([1, 0.5, 0, 1])]
    #[TestWith([7, 1.0, 7, 7])]
    #[TestWith([7, 0.0, 0, 0])]
    public function test_a_band_holds_nine_tenths_of_what_a_kept_promise_comes_to(int $cases, float $promise, int $low, int $high): void
    {
        self::assertSame([$low / $cases, $high / $cases], Binomial::band($cases, $promise));
    }

    public function test_a_band_of_many_cases_is_that_of_the_normal_law(): void
    {
        [$low, $high] = Binomial::band(3000, 0.8);
        $half = 1.645 * sqrt((0.8 * 0.2) / 3000);
        self::assertEqualsWithDelta(0.8 - $half, $low, 0.0006);
        self::assertEqualsWithDelta(0.8 + $half, $high, 0.0006);
        $this->expectException(InvalidArgumentException::class);
        Binomial::band(0, 0.5);
    }

    /**
     * Fisher's tea lady: 3 of 4 against 1 of 4 has 0.4857 on two sides, 4 against 0 has 2/70. 14 of 15 against 7 of 15 by hand:
     * C(15,14)·C(15,7)/C(30,21) and what is no more probable.
     */
    #[TestWith([3, 4, 1, 4, 34 / 70])]
    #[TestWith([4, 4, 0, 4, 2 / 70])]
    #[TestWith([2, 4, 2, 4, 1.0])]
    #[TestWith([5, 5, 0, 0, 1.0])]
    #[TestWith([0, 6, 3, 3, 1 / 84])]
    public function test_two_counts_differ_by_chance_so_often(int $keptOne, int $one, int $keptOther, int $other, float $p): void
    {
        self::assertEqualsWithDelta($p, Binomial::differs([$keptOne, $one], [$keptOther, $other]), 1e-12);
        self::assertEqualsWithDelta($p, Binomial::differs([$keptOther, $other], [$keptOne, $one]), 1e-12);
    }

    public function test_years_that_got_worse_are_told_from_chance(): void
    {
        self::assertLessThan(0.05, Binomial::differs([7, 15], [14, 15]));
        self::assertGreaterThan(0.05, Binomial::differs([10, 15], [14, 15]));
    }
}
