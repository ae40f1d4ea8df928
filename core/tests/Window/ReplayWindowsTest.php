<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\DerivationLine;
use Anthesis\Window\FairChance;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\ReasonSpan;
use Anthesis\Window\ReplayWindows;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\SowingWindow;
use Anthesis\Words\Phrase;
use Closure;
use PHPUnit\Framework\TestCase;

/** Windows from runs the test makes up: ten years, an outcome for each year and sow day. */
final class ReplayWindowsTest extends TestCase
{
    private const HARVEST = 1;

    private const FREEZE_YOUNG = 6;

    private const FREEZE_LATE = 9;

    private const HEAT = 12;

    /** @param  Closure(int, int): int  $outcome  code by year 0…9 and sow day */
    private function windows(
        Closure $outcome,
        string $crop = 'radish',
        Route $route = Route::Direct,
        float $share = 0.8,
        ?YearDay $from = null,
    ): RouteWindows {
        $sowDays = $outcomes = $mature = $harvests = $ups = $ends = [];
        for ($year = 0; $year < 10; $year++) {
            for ($day = 1; $day <= YearDay::YEAR; $day++) {
                $sowDays[] = $day;
                $outcomes[] = $outcome($year, $day);
                $mature[] = count($mature) + 30 + $year;
                $harvests[] = 10;
                $ups[] = $ends[] = 0;
            }
        }
        $ribbon = OutcomeRibbon::of(new Runs(Day::of(2001, 1, 1), SowDays::of($sowDays), $outcomes, $mature, $harvests, $ups, $ends));

        return (new ReplayWindows($this->crop($crop), $route, $ribbon, $from ?? YearDay::of(1, 1), 'open ground'))->at($share);
    }

    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @return list<array{int, int}> */
    private function days(RouteWindows $windows): array
    {
        return array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $windows->windows);
    }

    public function test_a_window_is_where_the_seven_day_mean_reaches_the_standard(): void
    {
        // Every year comes to a harvest from day 100 to 200. The mean of seven days is 6/7 at the first day but two, 5/7 before it.
        $windows = $this->windows(
            static fn (int $year, int $day): int => $day >= 100 && $day <= 200 ? self::HARVEST : self::FREEZE_YOUNG,
        );
        self::assertSame([[102, 198]], $this->days($windows));
        self::assertSame(
            [[101, 199]],
            $this->days(
                $this->windows(
                    static fn (int $y, int $d): int => $d >= 100 && $d <= 200 ? self::HARVEST : self::FREEZE_YOUNG,
                    share: 0.6,
                ),
            ),
        );
    }

    public function test_eight_years_of_ten_are_reliable_and_seven_are_fair(): void
    {
        $in = static fn (int $years): Closure => static fn (int $year, int $day): int => $day >= 100 && $day <= 200 && $year < $years
            ? self::HARVEST
            : self::HEAT;
        self::assertSame([[103, 197]], $this->days($this->windows($in(8))));
        $seven = $this->windows($in(7));
        self::assertSame([], $this->days($seven));
        self::assertSame(
            [[101, 199]],
            array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $seven->fair),
            'five of seven days at 0.7',
        );
        self::assertSame(['replay', 'none'], array_map(static fn (DerivationLine $l): string => $l->key, $seven->derivation));
        self::assertSame('at best in 7 of 10 years', Words::in('en')->phrase($seven->derivation[1]->source));
    }

    public function test_fewer_than_five_days_are_no_window_and_a_window_may_run_over_the_new_year(): void
    {
        self::assertSame(
            [],
            $this->days($this->windows(static fn (int $y, int $d): int => $d >= 100 && $d <= 106 ? self::HARVEST : self::HEAT)),
        );
        $over = static fn (int $y, int $d): int => $d >= 340 || $d <= 30 ? self::HARVEST : self::HEAT;
        self::assertSame([[342, 28]], $this->days($this->windows($over)));
        self::assertSame([[342, 28]], $this->days($this->windows($over, from: YearDay::of(7, 1))), 'wherever the year is cut');
    }

    public function test_the_whole_year_is_one_window_from_midwinter(): void
    {
        $windows = $this->windows(static fn (): int => self::HARVEST, from: YearDay::of(7, 1));
        self::assertTrue($windows->windows[0]->isAllYear());
        self::assertSame('07-01', $windows->windows[0]->first->iso());
        self::assertSame([], $windows->reasons);
        self::assertContains('all-year', array_map(static fn (DerivationLine $l): string => $l->key, $windows->derivation));
    }

    public function test_the_reason_outside_is_the_most_frequent_loss(): void
    {
        $windows = $this->windows(
            static fn (int $year, int $day): int => match (true) {
                $day < 100 => $year < 6 ? self::FREEZE_YOUNG : self::HEAT,
                $day <= 200 => self::HARVEST,
                default => self::FREEZE_LATE,
            },
        );
        $reasons = array_map(
            static fn (ReasonSpan $r): array => [$r->first->number, $r->last->number, $r->reason],
            $windows->reasons,
        );
        self::assertSame(
            [[1, 99, Outcome::FreezeYoung], [201, 365, Outcome::FreezeLate]],
            array_values(array_filter($reasons, static fn (array $r): bool => $r[1] - $r[0] > 5)),
        );
        $first = array_values(array_filter($windows->derivation, static fn (DerivationLine $l): bool => $l->key === 'first'))[0];
        self::assertSame(102, $first->date?->number);
        self::assertStringStartsWith('harvest in 8 of 10 years (mean of 7 days)', Words::in('en')->phrase($first->source));
    }

    public function test_evidence_gives_the_best_day_the_slack_and_when_harvest_comes(): void
    {
        // All years from 100 to 150, seven of ten on to 180.
        $windows = $this->windows(
            static fn (int $year, int $day): int => $day >= 100 && ($day <= 150 || ($day <= 180 && $year < 7))
                ? self::HARVEST
                : self::FREEZE_LATE,
        );
        [$evidence] = $windows->evidence;
        self::assertSame([[102, 151]], $this->days($windows));
        self::assertSame(
            [125, 10, 10],
            [$evidence->best->number, $evidence->harvests, $evidence->years],
            'the middle of the days that are equally good',
        );
        self::assertSame(179 - 151, $evidence->slackDays);
        // Days to harvest are 30 … 39: their 10, 50 and 90% are 30, 35 and 39 (type 6, rounded).
        self::assertSame([132, 137, 141], array_map(static fn (YearDay $d): int => $d->number, $evidence->fromFirst ?? []));
    }

    public function test_harvest_lasts_from_the_first_day_of_the_first_sowing_to_the_end_of_the_last_one(): void
    {
        // Sown from 102 to 198, first harvested after 30 (10%) to 39 (90%) days, ten days long: on 132 to 198 + 39 + 9.
        $windows = $this->windows(
            static fn (int $year, int $day): int => $day >= 100 && $day <= 200 ? self::HARVEST : self::FREEZE_YOUNG,
        );
        self::assertSame(
            [[132, 246]],
            array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $windows->harvests),
        );
    }

    public function test_a_harvest_of_the_whole_year_is_no_longer_than_one(): void
    {
        $windows = $this->windows(static fn (): int => self::HARVEST);
        self::assertSame([365], array_map(static fn (SowingWindow $w): int => $w->days, $windows->harvests));
    }

    public function test_slack_ends_where_the_next_window_begins(): void
    {
        $windows = $this->windows(
            static fn (int $year, int $day): int => $day >= 100 && $day <= 200 && ($day < 140 || $day > 160 || $year < 6)
                ? self::HARVEST
                : self::HEAT,
        );
        self::assertCount(2, $windows->windows);
        self::assertSame($windows->windows[0]->last->daysUntil($windows->windows[1]->first) - 1, $windows->evidence[0]->slackDays);
    }

    public function test_plants_that_are_set_out_are_started_their_weeks_before(): void
    {
        $windows = $this->windows(
            static fn (int $y, int $d): int => $d >= 100 && $d <= 200 ? self::HARVEST : self::HEAT,
            'broccoli',
            Route::Transplant,
        );
        $days = $this->crop('broccoli')->underCover->weeks?->days() ?? 0;
        self::assertSame(
            [[102 - $days, 198 - $days]],
            array_map(static fn (SowingWindow $w): array => [$w->first->number, $w->last->number], $windows->underCover),
        );
        self::assertContains('under-cover', array_map(static fn (DerivationLine $l): string => $l->key, $windows->derivation));
    }

    public function test_standards_of_proof_grow_bolder(): void
    {
        self::assertSame([0.9, 0.8, 0.6], array_map(static fn (ProofStandard $s): float => $s->share(), ProofStandard::cases()));
    }

    public function test_fair_days_apart_from_the_windows_are_told_with_their_years_in_ten(): void
    {
        // Ten of ten years from 60 to 100, six of ten from 200 to 240: the fair days of spring are part of its window.
        $windows = $this->windows(
            static fn (int $year, int $day): int => ($day >= 60 && $day <= 100) || ($day >= 200 && $day <= 240 && $year < 6)
                ? self::HARVEST
                : self::HEAT,
        );
        self::assertSame([[62, 98]], $this->days($windows));
        self::assertSame(
            [[202, 238, 5]],
            array_map(
                static fn (FairChance $c): array => [$c->days->first->number, $c->days->last->number, $c->ofTen],
                $windows->chances,
            ),
            'the mean over its days is a little under six, for its edges are poorer',
        );
        self::assertNull($windows->noWindow);
        // Over many days the edges do not count.
        $long = $this->windows(static fn (int $year, int $day): int => $year < 7 ? self::HARVEST : self::HEAT);
        self::assertSame([[365, 7]], array_map(static fn (FairChance $c): array => [$c->days->days, $c->ofTen], $long->chances));
    }

    /** Whatever the shares are, and wherever in the year. */
    public function test_a_fair_chance_is_the_mean_of_just_its_own_days(): void
    {
        mt_srand(7);
        $seen = 0;
        for ($round = 0; $round < 40; $round++) {
            $years = $at = [];
            for ($day = 1; $day <= 365; $day++) {
                $at[$day] = $day % 12 === 1 || $day === 1 ? mt_rand(2, 7) : $at[$day - 1];
            }
            $made = $this->windows(
                static fn (int $year, int $day): int => $year < $at[$day] ? self::HARVEST : self::HEAT,
                from: YearDay::of(mt_rand(1, 12), 1),
            );
            // Seven days, as reliability is smoothed.
            $share = static fn (int $day): float => array_sum(
                array_map(static fn (int $i): int => $at[(($day + $i + 364) % 365) + 1], range(-3, 3)),
            ) / 70;
            foreach ($made->chances as $chance) {
                $sum = 0.0;
                for ($i = 0; $i < $chance->days->days; $i++) {
                    $sum += $share($chance->days->first->plus($i)->number);
                }
                self::assertSame(
                    (int) floor((10 * $sum) / $chance->days->days + 1e-9),
                    $chance->ofTen,
                    "round {$round}, from {$chance->days->first->iso()}",
                );
                $seen++;
            }
        }
        self::assertGreaterThan(100, $seen);
    }

    public function test_a_crop_without_a_window_is_told_its_nearest_day_and_what_it_was_lost_to(): void
    {
        $none = $this->windows(
            static fn (int $year, int $day): int => $day >= 100 && $day <= 130 && $year < 4
                ? self::HARVEST
                : ($day < 200
                    ? self::FREEZE_LATE
                    : self::HEAT),
        )->noWindow;
        self::assertSame(
            [103, 4, 10, Outcome::FreezeLate],
            [$none?->nearest->number, $none?->harvests, $none?->years, $none?->reason],
        );
        self::assertSame(
            'At best, on 13 April, 4 of 10 years came to a harvest. Most of the others: killed by frost before harvest.',
            implode(' ', array_map(static fn (Phrase $p): string => Words::in('en')->phrase($p), $none?->phrases() ?? [])),
        );
    }

    public function test_where_no_year_came_to_a_harvest_the_nearest_day_is_the_one_that_held_out_longest(): void
    {
        $sowDays = $outcomes = $ends = [];
        for ($i = 0; $i < 2 * YearDay::YEAR; $i++) {
            $day = ($i % YearDay::YEAR) + 1;
            $sowDays[] = $day;
            $outcomes[] = $day === 150 ? self::FREEZE_LATE : self::HEAT;
            $ends[] = $i + ($day === 150 ? 90 : 40);
        }
        $zero = array_fill(0, 2 * YearDay::YEAR, 0);
        $none = (new ReplayWindows(
            $this->crop('radish'),
            Route::Direct,
            OutcomeRibbon::of(new Runs(Day::of(2001, 1, 1), SowDays::of($sowDays), $outcomes, $zero, $zero, $zero, $ends)),
            YearDay::of(1, 1),
            '',
        ))->at(0.8)->noWindow;
        self::assertSame([150, 0, Outcome::FreezeLate], [$none?->nearest->number, $none?->harvests, $none?->reason]);
    }
}
