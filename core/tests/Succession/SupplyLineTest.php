<?php

declare(strict_types=1);

namespace Anthesis\Tests\Succession;

use Anthesis\Climate\Quantile;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Succession\FixedInterval;
use Anthesis\Succession\HarvestDays;
use Anthesis\Succession\SuccessionSowing;
use Anthesis\Succession\SupplyLine;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class SupplyLineTest extends TestCase
{
    /**
     * Years of 365 days, in which what is sown is picked after so many days for so many.
     *
     * @param  callable(int, int): (array{int, int}|null)  $harvest  by year and sow day, 1…365; null: lost to heat
     */
    private function runs(int $years, callable $harvest, int $unknownFrom = PHP_INT_MAX): Runs
    {
        $sowDays = $outcomes = $mature = $lengths = $none = [];
        for ($i = 0; $i < $years * YearDay::YEAR; $i++) {
            [$year, $day] = [intdiv($i, YearDay::YEAR), ($i % YearDay::YEAR) + 1];
            $sowDays[] = $day;
            $own = $harvest($year, $day);
            $outcomes[] = $i >= $unknownFrom ? Outcome::NONE : ($own === null ? Outcome::Heat->code() : Outcome::Harvest->code());
            $mature[] = $i + ($own[0] ?? 0);
            $lengths[] = $own[1] ?? 0;
            $none[] = 0;
        }

        return new Runs(Day::of(2001, 1, 1), SowDays::of($sowDays), $outcomes, $mature, $lengths, $none, $none);
    }

    private function sowing(int $after, int $first, int $last): SuccessionSowing
    {
        return new SuccessionSowing(YearDay::fromNumber(100)->plus($after), $after, $first, $last);
    }

    public function test_at_a_fixed_interval_it_is_sown_where_sow_days_are_good_and_after_a_pause_at_once(): void
    {
        $runs = $this->runs(10, static fn (int $year, int $day): ?array => $day >= 125 && $day <= 140 && $year < 3 ? null : [50, 10]);
        $of = static fn (int $from, int $until, int $interval): array => array_map(
            static fn (SuccessionSowing $s): array => [$s->after, $s->first, $s->last],
            FixedInterval::of(HarvestDays::of($runs), YearDay::fromNumber($from), $until, 0.8, $interval),
        );
        // Of the days around those lost in three years of ten, the mean of a week still reaches eight tenths for a while.
        self::assertSame([[0, 50, 59], [14, 64, 73], [40, 90, 99]], array_slice($of(100, 45, 14), 0, 3));
        self::assertSame([[0, 50, 59], [10, 60, 69], [20, 70, 79]], $of(200, 20, 10), 'to the last day');
        self::assertSame([[0, 50, 59], [10, 60, 69]], $of(200, 19, 10));
        self::assertSame([0, 1, 2], array_column($of(200, 2, 1), 0));
        self::assertSame([0, 10], array_column($of(360, 12, 10), 0), 'over the new year');
        self::assertSame(
            [],
            FixedInterval::of(HarvestDays::of($this->runs(4, static fn (): ?array => null)), YearDay::fromNumber(1), 364, 0.1, 7),
        );
    }

    public function test_the_usual_line_counts_the_sowings_in_harvest_day_by_day(): void
    {
        $supply = SupplyLine::of($this->runs(3, static fn (): array => [3, 2]), YearDay::fromNumber(100), [
            $this->sowing(0, 3, 5),
            $this->sowing(2, 5, 6),
            $this->sowing(6, 9, 10),
        ]);
        self::assertSame([0, 0, 0, 1, 1, 2, 1, 0, 0, 1, 1], $supply->usual);
        self::assertSame([[7, 8]], $supply->gaps(), 'before the first harvest and after the last nothing is missing');
        $atOnce = SupplyLine::of($this->runs(3, static fn (): array => [0, 1]), YearDay::fromNumber(100), [
            $this->sowing(0, 0, 0),
            $this->sowing(2, 2, 2),
        ]);
        self::assertSame([[1, 1]], $atOnce->gaps(), 'on the day after the first harvest something is');
        self::assertSame([[5, 5]], $supply->gluts());
    }

    public function test_what_the_years_gave_is_counted_as_it_was(): void
    {
        // Sown on day 100 and 102: picked after 3, 4, 5 … days in the first, second, third year …, for two days; lost in the fourth.
        $runs = $this->runs(5, static fn (int $year, int $day): ?array => $year === 3 ? null : [3 + $year, 2]);
        $supply = SupplyLine::of($runs, YearDay::fromNumber(100), [$this->sowing(0, 4, 5), $this->sowing(2, 6, 9)]);
        self::assertSame(5, $supply->years);
        self::assertCount(10, $supply->middle);
        // Day 5: the first sowing in the second and third year, the second in the first; none in the fourth and the fifth.
        $byYear = [[3, 4, 5, 6], [4, 5, 6, 7], [5, 6, 7, 8], [], [7, 8, 9, 10]];
        foreach (range(0, 9) as $day) {
            $counts = array_map(static fn (array $days): int => (int) in_array($day, $days, true), $byYear);
            sort($counts);
            self::assertSame((float) $counts[2], $supply->middle[$day], "day {$day}");
            self::assertSame((float) $counts[0], $supply->low[$day]);
            self::assertSame((float) $counts[4], $supply->high[$day]);
        }
    }

    public function test_a_year_counts_when_all_of_its_sowings_ended_on_record(): void
    {
        $sowings = [$this->sowing(0, 3, 4), $this->sowing(30, 33, 34)];
        self::assertSame(
            3,
            SupplyLine::of($this->runs(3, static fn (): array => [3, 2], 2 * 365 + 130), YearDay::fromNumber(100), $sowings)->years,
        );
        self::assertSame(
            2,
            SupplyLine::of($this->runs(3, static fn (): array => [3, 2], 2 * 365 + 129), YearDay::fromNumber(100), $sowings)->years,
            'the second of the third year is not',
        );
        // Over the end of the record there is none.
        self::assertSame(
            2,
            SupplyLine::of($this->runs(3, static fn (): array => [3, 2]), YearDay::fromNumber(350), [
                $this->sowing(0, 3, 4),
                $this->sowing(30, 33, 34),
            ])->years,
        );
        self::assertSame(
            [[], [], []],
            [
                SupplyLine::of($this->runs(2, static fn (): array => [3, 2]), YearDay::fromNumber(1), [])->usual,
                SupplyLine::of($this->runs(2, static fn (): array => [3, 2]), YearDay::fromNumber(1), [])->gaps(),
                SupplyLine::of($this->runs(2, static fn (): array => [3, 2]), YearDay::fromNumber(1), [])->gluts(),
            ],
        );
    }

    public function test_a_metre_of_row_gives_its_yield_over_its_harvest(): void
    {
        // Two kilograms a meter over fourteen days are one a week: three a week take three meters.
        self::assertEqualsWithDelta(3.0, SupplyLine::metres($this->sowing(0, 50, 63), 3.0, 2.0), 1e-12);
        self::assertEqualsWithDelta(1.5, SupplyLine::metres($this->sowing(0, 50, 56), 3.0, 2.0), 1e-12, 'a week gives all of it');
    }

    public function test_this_season_is_counted_over_its_members(): void
    {
        $record = Fixtures::record('north');
        $today = Day::of(2012, 4, 18);
        $season = ThisSeason::of($record->between($record->first, $today->plus(-1)), null, Fixtures::latitude('north'), Site::openGround());
        $radish = Fixtures::crops()->find('radish') ?? self::fail('no radish');
        $sowings = [$this->sowing(0, 30, 39), $this->sowing(14, 42, 70)];
        $supply = SupplyLine::ofSeason($season, $radish, Route::Direct, $today, $sowings);
        self::assertSame(count($season->members), $supply->years);
        self::assertSame(
            [71, 1, 1, 0, 1, 0],
            [count($supply->usual), $supply->usual[30], $supply->usual[39], $supply->usual[41], $supply->usual[42], $supply->usual[29]],
        );

        $byMember = [];
        foreach ($season->members as $member) {
            $replay = new Replay($member->record, Fixtures::latitude('north'), Site::openGround());
            $own = array_fill(0, 71, 0);
            foreach ([0, 14] as $after) {
                $at = $today->number + $after - $member->record->first->number;
                $runs = $replay->runs($radish, Route::Direct, $at, $at);
                if ($runs->outcomes[$at] === Outcome::Harvest->code()) {
                    for ($i = 0; $i < $runs->harvests[$at]; $i++) {
                        $day = $runs->mature[$at] - $at + $after + $i;
                        $own[$day] = ($own[$day] ?? 0) + 1;
                    }
                }
            }
            $byMember[] = $own;
        }
        $seen = 0;
        for ($day = 0; $day < 71; $day++) {
            $counts = array_column($byMember, $day);
            sort($counts);
            self::assertSame(
                [(float) Quantile::of($counts, 0.1), (float) Quantile::of($counts, 0.5), (float) Quantile::of($counts, 0.9)],
                [$supply->low[$day], $supply->middle[$day], $supply->high[$day]],
                "day {$day}",
            );
            $seen += array_sum($counts);
        }
        self::assertGreaterThan(200, $seen);
    }

    public function test_a_sowing_beyond_every_member_leaves_no_season_to_tell_of(): void
    {
        $record = Fixtures::record('north');
        $season = ThisSeason::of(
            $record->between($record->first, Day::of(2012, 4, 17)),
            null,
            Fixtures::latitude('north'),
            Site::openGround(),
        );
        $radish = Fixtures::crops()->find('radish') ?? self::fail('no radish');
        $supply = SupplyLine::ofSeason($season, $radish, Route::Direct, Day::of(2012, 4, 18), [
            $this->sowing(0, 30, 39),
            $this->sowing(475, 500, 510),
        ]);
        self::assertSame(0, $supply->years);
    }
}
