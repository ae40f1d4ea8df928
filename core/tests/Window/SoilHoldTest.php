<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Record\YearDay;
use Anthesis\Window\SoilHold;
use PHPUnit\Framework\TestCase;

final class SoilHoldTest extends TestCase
{
    /**
     * @param  list<int>  $waiting  sow days
     * @return list<int> sow days
     */
    private static function far(array $waiting): array
    {
        $wet = array_map(static fn (int $day): bool => in_array($day, $waiting, true), range(1, YearDay::YEAR));
        $hold = SoilHold::orWet(null, $wet) ?? self::fail('something waits');

        return array_map(static fn (int $i): int => $i + 1, array_keys(array_filter($hold->farFromFree())));
    }

    public function test_a_day_is_far_from_those_that_do_not_wait_if_three_days_on_either_side_wait_too(): void
    {
        self::assertSame([103, 104], self::far(range(100, 107)));
        self::assertSame([], self::far(range(100, 105)));
        self::assertSame([1, 2, 363, 364, 365], self::far([...range(360, 365), ...range(1, 5)]), 'around the turn of the year');
    }
}
