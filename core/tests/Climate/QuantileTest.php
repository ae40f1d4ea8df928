<?php

declare(strict_types=1);

namespace Anthesis\Tests\Climate;

use Anthesis\Climate\Quantile;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class QuantileTest extends TestCase
{
    public function test_a_quantile_lies_at_its_share_of_n_and_one_between_the_values_beside_it(): void
    {
        $ten = [1.0, 2.0, 4.0, 7.0, 11.0, 16.0, 22.0, 29.0, 37.0, 46.0];
        self::assertSame(13.5, Quantile::of($ten, 0.5), 'at 5.5');
        self::assertEqualsWithDelta(1.1, Quantile::of($ten, 0.1), 1e-12, 'at 1.1');
        self::assertEqualsWithDelta(45.1, Quantile::of($ten, 0.9), 1e-12, 'at 9.9');
        self::assertSame(4.0, Quantile::of([2.0, 4.0, 9.0], 0.5), 'at 2, the value itself');
    }

    public function test_beyond_the_first_and_the_last_it_stays_there(): void
    {
        self::assertSame([2.0, 9.0, 5.0], [Quantile::of([2.0, 9.0], 0.1), Quantile::of([2.0, 9.0], 0.9), Quantile::of([5.0], 0.5)]);
        self::assertNull(Quantile::of([], 0.5));
    }

    public function test_what_touches_an_infinity_is_none(): void
    {
        self::assertNull(Quantile::of([-INF, 2.0, 3.0], 0.3));
        self::assertSame(2.0, Quantile::of([-INF, 2.0, 3.0], 0.5), 'at a value of its own it does not');
        self::assertNull(Quantile::of([1.0, 2.0, INF], 0.7));
    }

    /** Ranks by summing the binomial distribution, in another program. */
    #[TestWith([3, 0.1, null, 2])]
    #[TestWith([3, 0.5, null, null])]
    #[TestWith([5, 0.5, 1, 5])]
    #[TestWith([6, 0.9, 4, null])]
    #[TestWith([10, 0.5, 2, 9])]
    #[TestWith([20, 0.1, null, 5])]
    #[TestWith([20, 0.5, 6, 15])]
    #[TestWith([30, 0.1, 1, 7])]
    #[TestWith([30, 0.5, 11, 20])]
    #[TestWith([30, 0.9, 24, 30])]
    public function test_ranks_enclose_a_quantile_in_nine_of_ten(int $n, float $p, ?int $lower, ?int $upper): void
    {
        self::assertSame([$lower, $upper], Quantile::rankInterval($n, $p));
    }

    #[TestWith([0.0])]
    #[TestWith([1.0])]
    public function test_a_probability_lies_between(float $p): void
    {
        $this->expectException(InvalidArgumentException::class);
        Quantile::rankInterval(10, $p);
    }
}
