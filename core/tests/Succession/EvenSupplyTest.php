<?php

declare(strict_types=1);

namespace Anthesis\Tests\Succession;

use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Soil\Site;
use Anthesis\Succession\EvenSupply;
use Anthesis\Succession\HarvestDays;
use Anthesis\Succession\SuccessionSowing;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class EvenSupplyTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_sowings_for_an_even_harvest_are_those_of_the_reference(string $station): void
    {
        $told = 0;
        foreach (Fixtures::json("succession-{$station}.json") as $case) {
            $replay = new Replay(Fixtures::record($station), Fixtures::latitude($station), Site::openGround());
            $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
            $harvests = HarvestDays::of($replay->runs($crop, Route::from($case['route'])));
            $found = array_map(
                static fn (SuccessionSowing $s): array => [$s->on->number, $s->first, $s->last],
                EvenSupply::of($harvests, YearDay::fromNumber($case['first']), $case['until'], (float) $case['standard']),
            );
            self::assertSame($case['sowings'], $found, "{$case['crop']} at {$case['standard']}");
            $told += count($found);
        }
        self::assertGreaterThan(8, $told);
    }

    /** @param  array<int, array{int, int}>  $days  days to harvest and of harvest by sow day; in ten years of ten */
    private function harvests(array $days): HarvestDays
    {
        $sowDays = $outcomes = $mature = $lengths = $none = [];
        for ($i = 0; $i < 10 * YearDay::YEAR; $i++) {
            $day = ($i % YearDay::YEAR) + 1;
            $sowDays[] = $day;
            [$wait, $length] = $days[$day] ?? [0, 0];
            $outcomes[] = $length > 0 ? Outcome::Harvest->code() : Outcome::Heat->code();
            $mature[] = $i + $wait;
            $lengths[] = $length;
            $none[] = 0;
        }

        return HarvestDays::of(new Runs(Day::of(2001, 1, 1), SowDays::of($sowDays), $outcomes, $mature, $lengths, $none, $none));
    }

    /** @return list<array{int, int, int}> */
    private function sowings(HarvestDays $harvests, int $from, int $until, float $standard = 0.8): array
    {
        return array_map(
            static fn (SuccessionSowing $s): array => [$s->after, $s->first, $s->last],
            EvenSupply::of($harvests, YearDay::fromNumber($from), $until, $standard),
        );
    }

    public function test_one_harvest_follows_on_another_without_a_day_between(): void
    {
        // Fifty days to a harvest of ten: the next begins on the day after the last one ends.
        $steady = $this->harvests(array_fill_keys(range(1, 365), [50, 10]));
        self::assertSame(
            [[0, 50, 59], [10, 60, 69], [20, 70, 79], [24, 74, 83]],
            $this->sowings($steady, 100, 24),
            'the last one is picked for four days more: a third of ten, rounded up',
        );
        self::assertSame([[0, 50, 59], [10, 60, 69], [20, 70, 79]], $this->sowings($steady, 100, 23));
        self::assertSame([[0, 50, 59], [10, 60, 69], [20, 70, 79]], $this->sowings($steady, 360, 20), 'over the new year');
    }

    public function test_a_day_that_adds_too_little_is_passed_over_and_a_gap_is_left_where_nothing_is_in_time(): void
    {
        $days = array_fill_keys([...range(97, 103), ...range(197, 203)], [50, 9]);
        // Within three days of the first: its harvest would end three days after it, a third of nine; two days would be too few.
        self::assertSame(
            [[0, 50, 58], [3, 53, 61], [97, 147, 155], [103, 153, 161]],
            $this->sowings($this->harvests($days), 100, 120, 0.01),
        );
        self::assertSame([[0, 50, 58]], $this->sowings($this->harvests($days), 100, 2, 0.01));
        self::assertSame([], $this->sowings($this->harvests($days), 110, 50, 0.01));
    }

    public function test_half_a_day_is_a_day_and_what_never_came_to_a_harvest_is_no_day_to_sow(): void
    {
        $harvests = $this->harvests([100 => [50, 10]]);
        self::assertSame([50, 10], $harvests->on(YearDay::fromNumber(100)));
        self::assertNull($harvests->on(YearDay::fromNumber(101)));
        // One day of seven: a seventh of the years.
        self::assertTrue($harvests->reaches(YearDay::fromNumber(103), 1 / 7));
        self::assertFalse($harvests->reaches(YearDay::fromNumber(104), 0.01));
        $runs = new Runs(
            Day::of(2001, 1, 1),
            SowDays::of([1, 1]),
            [Outcome::Harvest->code(), Outcome::Harvest->code()],
            [40, 42],
            [7, 8],
            [0, 0],
            [0, 0],
        );
        self::assertSame([41, 8], HarvestDays::of($runs)->on(YearDay::fromNumber(1)));
    }
}
