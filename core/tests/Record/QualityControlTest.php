<?php

declare(strict_types=1);

namespace Anthesis\Tests\Record;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityControl;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class QualityControlTest extends TestCase
{
    /**
     * @param  array<int, float|null>  $minimum  by day, over a background of gently varying values
     * @param  array<int, float|null>  $maximum
     */
    private function record(array $minimum = [], array $maximum = [], int $days = 40): DailyRecord
    {
        $low = $high = [];
        for ($i = 0; $i < $days; $i++) {
            $low[] = array_key_exists($i, $minimum) ? $minimum[$i] : 5 + ($i % 3) / 10;
            $high[] = array_key_exists($i, $maximum) ? $maximum[$i] : 15 + ($i % 4) / 10;
        }

        return new DailyRecord(Day::of(2024, 2, 1), $low, $high);
    }

    /** @return list<string> */
    private function marks(DailyRecord $record, ?Day $today = null): array
    {
        return array_map(
            static fn (Mark $m): string => "{$m->day->iso()} {$m->element->value} {$m->rule->value}",
            (new QualityControl())->check($record, [], $today)->marks,
        );
    }

    public function test_a_believable_record_is_left_alone(): void
    {
        self::assertSame([], $this->marks($this->record()));
        foreach (array_keys(Fixtures::STATIONS) as $station) {
            self::assertSame([], $this->marks(Fixtures::record($station)));
        }
    }

    public function test_a_maximum_below_the_minimum_marks_both_and_keeps_the_source(): void
    {
        $record = $this->record([3 => 16.0], [3 => 4.0]);
        self::assertSame(
            ['2024-02-04 maximum maximum-below-minimum', '2024-02-04 minimum maximum-below-minimum'],
            $this->marks($record),
        );
        $usable = (new QualityControl())->check($record)->usable;
        self::assertNull($usable->minimum[3]);
        self::assertNull($usable->maximum[3]);
        self::assertSame(16.0, $record->minimum[3]);
    }

    public function test_limits_are_inclusive(): void
    {
        self::assertSame(['2024-02-06 maximum out-of-range'], $this->marks($this->record([], [5 => 60.1])));
        self::assertSame(
            [],
            array_filter($this->marks($this->record([0 => -70.0])), static fn (string $m): bool => str_contains($m, 'range')),
        );
        self::assertContains('2024-02-01 minimum out-of-range', $this->marks($this->record([0 => -70.1])));
    }

    public function test_a_spike_stands_out_from_both_neighbours(): void
    {
        self::assertSame(['2024-02-06 maximum spike'], $this->marks($this->record([], [5 => 41.0])));
        self::assertSame([], $this->marks($this->record([], [5 => 41.0, 6 => 30.0])));
        self::assertSame([], $this->marks($this->record([], [5 => 41.0, 6 => null])));
    }

    public function test_only_the_tenth_and_later_equal_values_are_marked(): void
    {
        $equal = array_fill(10, 12, 7.0);
        self::assertSame(
            [
                '2024-02-20 minimum run-of-equal-values',
                '2024-02-21 minimum run-of-equal-values',
                '2024-02-22 minimum run-of-equal-values',
            ],
            $this->marks($this->record($equal)),
        );
        self::assertSame([], $this->marks($this->record([15 => null] + $equal)), 'a missing day breaks the run');
    }

    public function test_what_follows_a_gap_is_looked_at_too(): void
    {
        self::assertSame(['2024-02-21 maximum spike'], $this->marks($this->record([], [5 => null, 20 => 41.0])));
        self::assertSame(
            ['2024-02-06 maximum spike', '2024-02-21 maximum spike'],
            $this->marks($this->record([], [5 => 41.0, 20 => 41.0])),
        );
        self::assertSame(
            ['2024-02-21 maximum-below-minimum', '2024-02-21 maximum-below-minimum'],
            array_map(
                static fn (string $m): string => str_replace(['maximum ', 'minimum '], '', $m),
                $this->marks($this->record([5 => null, 20 => 7.0], [20 => 6.9])),
            ),
        );
    }

    public function test_values_on_a_limit_are_taken(): void
    {
        // 15.1 on both sides: 25 more or less is no spike, a little beyond is.
        $beside = [4 => 15.0, 6 => 15.0];
        self::assertSame([], $this->marks($this->record([], [5 => 40.0] + $beside)));
        self::assertSame(['2024-02-06 maximum spike'], $this->marks($this->record([], [5 => 40.1] + $beside)));
        self::assertSame([], $this->marks($this->record([5 => 9.0], [5 => 9.0])), 'a maximum at the minimum');
        self::assertSame([], $this->marks($this->record([], [39 => 41.0])), 'the last day has one neighbour');
    }

    public function test_days_to_come_are_marked(): void
    {
        $marks = $this->marks($this->record(), Day::of(2024, 3, 9));
        self::assertCount(4, $marks);
        self::assertSame('2024-03-10 maximum future', $marks[0]);
    }

    public function test_gaps_of_ten_days_are_bridged_and_of_eleven_are_not(): void
    {
        $ten = $this->record([4 => 1.0, 15 => 12.0] + array_fill(5, 10, null));
        self::assertEqualsWithDelta(6.0, $ten->bridged()->minimum[9], 1e-12);
        self::assertNull($this->record(array_fill(5, 11, null))->bridged()->minimum[9]);
        self::assertNull($this->record([0 => null])->bridged()->minimum[0], 'the start has nothing to lean on');
        self::assertSame([10], array_column($ten->gaps(), 'days'));
        self::assertSame('2024-02-06', $ten->gaps()[0]->first->iso());
    }
}
