<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Record\YearDay;
use Anthesis\Window\SowingWindow;
use Anthesis\Window\WindowFinder;
use PHPUnit\Framework\TestCase;

final class WindowFinderTest extends TestCase
{
    /**
     * @param  list<array{int, int}>  $open
     * @return list<array{int, int}>
     */
    private function runs(array $open, int $from = 1, int $atLeast = 1): array
    {
        $days = array_fill(0, 365, false);
        foreach ($open as [$first, $last]) {
            for ($day = $first; $day <= $last; $day++) {
                $days[$day - 1] = true;
            }
        }

        return array_map(
            static fn (SowingWindow $w): array => [$w->first->number, $w->last->number],
            WindowFinder::runs($days, YearDay::fromNumber($from), $atLeast),
        );
    }

    public function test_runs_over_the_new_year_stay_whole(): void
    {
        self::assertSame([[100, 120], [360, 5]], $this->runs([[1, 5], [100, 120], [360, 365]]));
        self::assertSame([[360, 5], [100, 120]], $this->runs([[1, 5], [100, 120], [360, 365]], 182));
    }

    public function test_short_runs_can_be_left_out(): void
    {
        self::assertSame([[10, 14]], $this->runs([[10, 14], [20, 23]], 1, 5));
    }

    public function test_all_and_nothing(): void
    {
        self::assertSame([], $this->runs([]));
        self::assertSame([[182, 181]], $this->runs([[1, 365]], 182));
    }
}
