<?php

declare(strict_types=1);

namespace Anthesis\Tests\Record;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\FilledRecord;
use Anthesis\Record\StationSeries;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class FilledRecordTest extends TestCase
{
    /**
     * @param  list<float|null>  $minimum
     * @return DailyRecord maxima ten degrees above the minima
     */
    private function record(string $first, array $minimum): DailyRecord
    {
        return new DailyRecord(
            Day::fromIso($first),
            $minimum,
            array_map(static fn (?float $v): ?float => $v === null ? null : $v + 10, $minimum),
        );
    }

    /** @return list<float> */
    private function wave(int $days, float $mean): array
    {
        return array_map(static fn (int $i): float => round($mean + 5 * sin($i / 9), 1), range(0, $days - 1));
    }

    public function test_a_lone_station_is_left_as_it_is_to_the_last_bit(): void
    {
        $record = Fixtures::record('north');
        $filled = FilledRecord::of([new StationSeries($record)]);
        self::assertSame($record->checksum(), $filled->record->checksum());
        self::assertSame([], $filled->filledIn());
        self::assertSame([0, 0, null], [$filled->minimumFrom[0], $filled->maximumFrom[0], $filled->fits[0]->minimumBias]);
    }

    public function test_a_station_200_m_lower_is_cooled_by_its_height_and_by_what_the_overlap_leaves(): void
    {
        // The lower station reads 1.3 °C warmer for its height and 0.5 °C warmer for other reasons.
        $wave = $this->wave(60, 4.0);
        $gap = $wave;
        $gap[20] = $gap[21] = null;
        $lower = $this->record('2020-03-01', array_map(static fn (float $v): float => round($v + 1.3 + 0.5, 1), $wave));
        $filled = FilledRecord::of([new StationSeries($this->record('2020-03-01', $gap)), new StationSeries($lower, -200.0)]);
        self::assertEqualsWithDelta(-1.3, $filled->fits[1]->height, 1e-9);
        self::assertEqualsWithDelta(-0.5, $filled->fits[1]->minimumBias, 1e-9);
        self::assertSame([58, 2, 2], [$filled->fits[1]->overlap, $filled->fits[1]->minima, $filled->fits[1]->maxima]);
        self::assertEqualsWithDelta($wave[20], $filled->record->minimum[20], 0.011);
        self::assertSame([0, 1, 1, 0], array_slice($filled->minimumFrom, 19, 4));
        $spans = $filled->filledIn();
        self::assertSame(['2020-03-21', '2020-03-22', 1], [$spans[0]['from']->iso(), $spans[0]['to']->iso(), $spans[0]['station']]);
        self::assertCount(1, $spans);
    }

    public function test_minima_and_maxima_are_filled_and_corrected_apart(): void
    {
        $wave = $this->wave(40, 2.0);
        $warm = array_map(static fn (float $v): float => $v + 12.0, $wave);
        $without = $wave;
        $without[5] = null;
        $first = new DailyRecord(Day::of(2021, 1, 1), $without, $warm);
        $second = new DailyRecord(
            Day::of(2021, 1, 1),
            array_map(static fn (float $v): float => $v + 2.0, $wave),
            array_map(static fn (float $v): float => $v - 1.0, $warm),
        );
        $filled = FilledRecord::of([new StationSeries($first), new StationSeries($second)]);
        self::assertEqualsWithDelta([-2.0, 1.0], [$filled->fits[1]->minimumBias, $filled->fits[1]->maximumBias], 1e-9);
        self::assertSame([1, 0], [$filled->minimumFrom[5], $filled->maximumFrom[5]]);
        self::assertEqualsWithDelta($wave[5], $filled->record->minimum[5], 0.011);

        // A day is filled in where either of its temperatures is.
        $maximum = $warm;
        $maximum[7] = null;
        $spans = FilledRecord::of([
            new StationSeries(new DailyRecord(Day::of(2021, 1, 1), $without, $maximum)),
            new StationSeries($second),
        ])->filledIn();
        self::assertSame(['2021-01-06', '2021-01-08'], array_map(static fn (array $s): string => $s['from']->iso(), $spans));
    }

    public function test_too_short_an_overlap_corrects_for_height_only_and_a_third_station_leans_on_both(): void
    {
        $first = $this->record('2020-01-01', $this->wave(50, 3.0));
        $second = $this->record('2020-02-10', $this->wave(60, 9.0));
        $third = $this->record('2020-02-20', $this->wave(90, 20.0));
        $filled = FilledRecord::of([new StationSeries($first), new StationSeries($second), new StationSeries($third)]);
        self::assertNull($filled->fits[1]->minimumBias, 'ten shared days are too few');
        self::assertSame(10, $filled->fits[1]->overlap);
        self::assertNotNull($filled->fits[2]->minimumBias, 'fifty days shared with the second station');
        self::assertSame('2020-05-19', $filled->record->last()->iso());
        self::assertSame(
            ['2020-02-20', '2020-04-09', 1],
            [$filled->filledIn()[0]['from']->iso(), $filled->filledIn()[0]['to']->iso(), $filled->filledIn()[0]['station']],
        );
        self::assertSame(2, $filled->filledIn()[1]['station']);
    }

    public function test_the_series_goes_from_the_first_day_of_any_station_to_the_last_of_any(): void
    {
        $short = new StationSeries($this->record('2020-02-01', $this->wave(20, 3.0)));
        $long = new StationSeries($this->record('2020-01-10', $this->wave(60, 3.0)));
        foreach ([[$short, $long], [$long, $short]] as $stations) {
            $filled = FilledRecord::of($stations);
            self::assertSame(
                ['2020-01-10', '2020-03-09', 60],
                [$filled->record->first->iso(), $filled->record->last()->iso(), $filled->record->days()],
            );
            self::assertNotContains(null, $filled->record->minimum);
        }
        // One that is over before the other begins: the days between are there, and missing.
        $apart = FilledRecord::of([
            new StationSeries($this->record('2020-03-01', [1.0, 2.0])),
            new StationSeries($this->record('2020-02-26', [5.0, 6.0])),
        ]);
        self::assertSame(
            ['2020-02-26', [5.0, 6.0, null, null, 1.0, 2.0], [1, 1, null, null, 0, 0]],
            [$apart->record->first->iso(), $apart->record->minimum, $apart->minimumFrom],
        );
    }

    public function test_matching_can_be_left_out_and_the_lapse_chosen(): void
    {
        $first = $this->record('2020-01-01', [...$this->wave(50, 3.0), null]);
        $second = $this->record('2020-01-01', [...$this->wave(50, 8.0), 1.0]);
        $filled = FilledRecord::of([new StationSeries($first), new StationSeries($second, 100.0, -0.01, false)]);
        self::assertNull($filled->fits[1]->minimumBias);
        self::assertSame(2.0, $filled->record->minimum[50], 'a station 100 m higher is warmed by a degree');
    }
}
