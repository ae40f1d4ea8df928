<?php

declare(strict_types=1);

namespace Anthesis\Tests\Climate;

use Anthesis\Climate\DailyChance;
use Anthesis\Record\Day;
use PHPUnit\Framework\TestCase;

final class DailyChanceTest extends TestCase
{
    /** @return array<int, float> the chances that are not 0, by sow day, of a value below 0 */
    private function chances(Day $first, array $series): array
    {
        $chances = DailyChance::of($first, $series, static fn (float $v): bool => $v < 0);
        self::assertCount(365, $chances);

        return array_filter(array_combine(range(1, 365), $chances));
    }

    public function test_one_hit_of_one_year_is_a_seventh_on_the_three_days_before_and_after(): void
    {
        $series = array_fill(0, 365, 1.0);
        $series[99] = -1.0;
        self::assertEqualsWithDelta(array_fill_keys(range(97, 103), 1 / 7), $this->chances(Day::of(2001, 1, 1), $series), 1e-12);
    }

    public function test_it_reaches_over_the_new_year_and_counts_from_the_first_day_of_the_series(): void
    {
        $series = array_fill(0, 365, 1.0);
        $series[1] = -1.0;
        // The series starts on December 30, so the hit is on the 31st, sow day 365.
        self::assertEqualsWithDelta(
            array_fill_keys([1, 2, 3, 362, 363, 364, 365], 1 / 7),
            $this->chances(Day::of(2000, 12, 30), $series),
            1e-12,
        );
    }

    public function test_days_without_a_value_are_left_out_and_not_counted_as_none(): void
    {
        $series = array_fill(0, 365, null);
        $series[99] = -1.0;
        $series[101] = 1.0;
        $chances = $this->chances(Day::of(2001, 1, 1), $series);
        self::assertEquals([1.0, 0.5], [$chances[97], $chances[99]], 'sow day 97 sees the hit alone');
        self::assertSame(range(97, 103), array_keys($chances), 'and where nothing is known the chance is 0');
    }

    public function test_years_are_taken_together(): void
    {
        $series = [...array_fill(0, 365, -1.0), ...array_fill(0, 365, 1.0), ...array_fill(0, 365, 1.0)];
        self::assertEqualsWithDelta(array_fill_keys(range(1, 365), 1 / 3), $this->chances(Day::of(2001, 1, 1), $series), 1e-12);
    }
}
