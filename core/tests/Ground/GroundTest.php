<?php

declare(strict_types=1);

namespace Anthesis\Tests\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Crop\Seed;
use Anthesis\Ground\Bed;
use Anthesis\Ground\BedYield;
use Anthesis\Ground\Candidate;
use Anthesis\Ground\Conflict;
use Anthesis\Ground\Fit;
use Anthesis\Ground\GroundDays;
use Anthesis\Ground\Occupancy;
use Anthesis\Ground\Placement;
use Anthesis\Ground\Preparation;
use Anthesis\Ground\Rotation;
use Anthesis\Ground\SeasonPlanner;
use Anthesis\Ground\SeedNeed;
use Anthesis\Ground\Standing;
use Anthesis\Ground\StandingKind;
use Anthesis\Ground\Task;
use Anthesis\Ground\Wish;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Succession\HarvestDays;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\SowingWindow;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Beds and what stands on them: room, gaps, rest, what fits, what it takes, and a season's plan. */
final class GroundTest extends TestCase
{
    private static function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    private static function stay(string $crop, string $from, string $to, float $metres = 10.0, ?string $key = null): Occupancy
    {
        return new Occupancy($key ?? "{$crop} {$from}", self::crop($crop), Day::fromIso($from), Day::fromIso($to), $metres);
    }

    /** Days that are the same all year, open from one day of the year to another. */
    private static function candidate(
        string $crop,
        string $first,
        string $last,
        int $wait,
        int $late,
        int $harvest,
        float $share = 0.9,
        Route $route = Route::Direct,
    ): Candidate {
        $window = new SowingWindow(YearDay::fromIso($first), YearDay::fromIso($last));
        $open = array_map(static fn (int $day): bool => $window->contains(YearDay::fromNumber($day)), range(1, 365));

        return new Candidate(
            self::crop($crop),
            null,
            $route,
            new GroundDays(
                array_fill(0, 365, $share),
                array_fill(0, 365, $wait),
                array_fill(0, 365, $late),
                array_fill(0, 365, $harvest),
                $open,
            ),
        );
    }

    public function test_days_on_the_ground_are_those_of_the_years_on_record(): void
    {
        $crop = self::crop('radish');
        $runs = (new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround()))->runs(
            $crop,
            Route::Direct,
        );
        $days = GroundDays::of($runs, [new SowingWindow(YearDay::fromIso('04-10'), YearDay::fromIso('05-20'))]);
        $on = Day::fromIso('2011-05-01');
        $waits = OutcomeRibbon::of($runs)->daysToHarvest($on->yearDay());
        self::assertNotNull($waits);
        self::assertSame(
            [
                $on->plus($waits[1])->iso(),
                $on->plus($waits[2])->iso(),
                $on->plus($waits[2] + HarvestDays::of($runs)->on($on->yearDay())[1])->iso(),
            ],
            [$days->firstHarvest($on)?->iso(), $days->lateHarvest($on)?->iso(), $days->until($on)?->iso()],
        );
        self::assertSame(
            [true, true, false, false],
            array_map(static fn (string $d): bool => $days->isOpen(Day::fromIso($d)), [
                '2011-04-10',
                '2011-05-20',
                '2011-05-21',
                '2011-04-09',
            ]),
        );
        self::assertEqualsWithDelta(OutcomeRibbon::of($runs)->reliability[120], $days->share($on), 1e-12);
        $winter = Day::fromIso('2011-12-20');
        self::assertSame([null, null, null], [$days->firstHarvest($winter), $days->lateHarvest($winter), $days->until($winter)]);
    }

    public function test_a_bed_has_room_as_long_as_what_stands_at_once_is_shorter_than_it(): void
    {
        $bed = new Bed('one', 10.0, [
            self::stay('radish', '2026-04-01', '2026-05-10', 4.0),
            self::stay('carrot', '2026-05-05', '2026-08-01', 5.0),
            self::stay('kale', '2026-05-11', '2026-10-01', 3.0),
        ]);
        self::assertSame(
            [6.0, 1.0, 2.0, 10.0],
            [
                $bed->free(Day::fromIso('2026-04-01'), Day::fromIso('2026-05-04')),
                $bed->free(Day::fromIso('2026-04-20'), Day::fromIso('2026-05-10')),
                $bed->free(Day::fromIso('2026-05-11'), Day::fromIso('2026-08-01')),
                $bed->free(Day::fromIso('2026-10-02'), Day::fromIso('2026-12-01')),
            ],
        );
        self::assertSame(6.0, $bed->free(Day::fromIso('2026-03-01'), Day::fromIso('2026-04-01')), 'the last day counts');
        self::assertSame([], $bed->doubleBooked());
        self::assertSame(0.0, (new Bed('short', 2.0, $bed->stays))->free(Day::fromIso('2026-06-01'), Day::fromIso('2026-06-01')));
    }

    public function test_two_on_the_same_ground_are_found_with_their_days(): void
    {
        $bed = new Bed('one', 10.0, [
            self::stay('radish', '2026-04-01', '2026-05-10', 6.0, 'a'),
            self::stay('carrot', '2026-05-05', '2026-08-01', 5.0, 'b'),
            self::stay('kale', '2026-05-08', '2026-05-20', 1.0, 'c'),
        ]);
        $found = $bed->doubleBooked();
        self::assertCount(1, $found);
        self::assertSame(
            ['2026-05-05', '2026-05-10', 12.0, ['a', 'b', 'c']],
            [$found[0]['from']->iso(), $found[0]['to']->iso(), $found[0]['metres'], $found[0]['keys']],
        );
        self::assertSame([], (new Bed('just', 11.0, [$bed->stays[0], $bed->stays[1]]))->doubleBooked());
        self::assertCount(
            2,
            (new Bed('twice', 5.0, [
                self::stay('radish', '2026-04-01', '2026-04-10', 6.0),
                self::stay('radish', '2026-05-01', '2026-05-10', 6.0),
            ]))->doubleBooked(),
        );
    }

    public function test_gaps_are_spans_of_a_fortnight_and_more_in_which_nothing_stands(): void
    {
        $bed = new Bed('one', 10.0, [
            self::stay('radish', '2026-04-15', '2026-05-31', 1.0),
            self::stay('kale', '2026-05-01', '2026-06-10'),
            self::stay('carrot', '2026-06-24', '2026-07-01'),
            self::stay('beet', '2026-07-16', '2026-08-31'),
        ]);
        $gaps = array_map(
            static fn (array $g): string => "{$g['from']->iso()} {$g['to']->iso()}",
            $bed->gaps(Day::fromIso('2026-04-01'), Day::fromIso('2026-09-30')),
        );
        self::assertSame(
            ['2026-04-01 2026-04-14', '2026-07-02 2026-07-15', '2026-09-01 2026-09-30'],
            $gaps,
            'thirteen days in June are none',
        );
        self::assertSame(
            ['2026-04-01 2026-04-14'],
            array_map(
                static fn (array $g): string => "{$g['from']->iso()} {$g['to']->iso()}",
                $bed->gaps(Day::fromIso('2026-04-01'), Day::fromIso('2026-06-30')),
            ),
        );
        self::assertSame([], $bed->gaps(Day::fromIso('2026-05-01'), Day::fromIso('2026-06-01')));
        self::assertSame('carrot 2026-06-24', $bed->before(Day::fromIso('2026-07-05'))?->key);
        self::assertNull($bed->before(Day::fromIso('2026-05-31')));
    }

    /** Ended so many days before June 1, 2023: three years of 365 days are 1095, four 1460. */
    #[TestWith(['carrot', 1094, true])]
    #[TestWith(['carrot', 1095, false])]
    #[TestWith(['kale', 1459, true])]
    #[TestWith(['kale', 1460, false])]
    #[TestWith(['onion-long-day', 1459, true])]
    #[TestWith(['onion-long-day', 1460, false])]
    public function test_a_family_rests_three_years_and_cabbages_and_onions_four(string $crop, int $ago, bool $breaks): void
    {
        $on = Day::fromIso('2023-06-01');
        $bed = new Bed('one', 10.0, [new Occupancy('a', self::crop($crop), $on->plus(-$ago - 30), $on->plus(-$ago), 1.0)]);
        self::assertSame($breaks, Rotation::broken($bed, self::crop($crop), $on, $on->plus(50)) !== null);
    }

    public function test_a_rest_is_kept_to_the_day_before_and_after_and_covers_and_neighbours_break_none(): void
    {
        $on = Day::fromIso('2023-06-01');
        $bed = static fn (Occupancy ...$stays): Bed => new Bed('one', 10.0, array_values($stays));
        $broken = static fn (Bed $bed, string $crop = 'carrot'): ?string => Rotation::broken(
            $bed,
            self::crop($crop),
            $on,
            $on->plus(60),
        )?->key;
        self::assertSame('a', $broken($bed(new Occupancy('a', self::crop('parsnip'), $on->plus(-1200), $on->plus(-1094), 1.0))));
        self::assertNull($broken($bed(new Occupancy('a', self::crop('parsnip'), $on->plus(-1200), $on->plus(-1095), 1.0))));
        self::assertSame(
            'b',
            $broken($bed(new Occupancy('b', self::crop('parsnip'), $on->plus(60 + 1094), $on->plus(1200), 1.0))),
            'one that is to come, too',
        );
        self::assertNull($broken($bed(new Occupancy('b', self::crop('parsnip'), $on->plus(60 + 1095), $on->plus(1200), 1.0))));
        self::assertSame(
            'near',
            $broken(
                $bed(
                    new Occupancy('far', self::crop('dill'), $on->plus(-500), $on->plus(-400), 1.0),
                    new Occupancy('near', self::crop('dill'), $on->plus(-300), $on->plus(-200), 1.0),
                ),
            ),
        );
        self::assertNull(
            $broken($bed(new Occupancy('beside', self::crop('dill'), $on->plus(10), $on->plus(30), 1.0))),
            'they stand side by side',
        );
        self::assertNull(
            $broken($bed(new Occupancy('cover', self::crop('cover-field-pea'), $on->plus(-100), $on->plus(-50), 1.0)), 'bush-bean'),
        );
        self::assertNull(
            $broken($bed(new Occupancy('bean', self::crop('bush-bean'), $on->plus(-100), $on->plus(-50), 1.0)), 'cover-vetch'),
        );
        $hungry = $bed(self::stay('tomato-main', '2022-05-01', '2022-10-01'));
        self::assertTrue(Rotation::feedsAfterHunger($hungry, self::crop('bush-bean'), $on));
        self::assertFalse(Rotation::feedsAfterHunger($hungry, self::crop('carrot'), $on));
        self::assertFalse(
            Rotation::feedsAfterHunger($bed(self::stay('carrot', '2022-05-01', '2022-10-01')), self::crop('bush-bean'), $on),
        );
        self::assertSame([3, 4, 4], array_map(Rotation::years(...), ['Apiaceae', 'Brassicaceae', 'Amaryllidaceae']));
    }

    public function test_what_stands_before_the_one_that_breaks_a_rest_hides_it_not(): void
    {
        $on = Day::fromIso('2023-06-01');
        $offending = new Occupancy('offending', self::crop('parsnip'), $on->plus(-300), $on->plus(-200), 1.0);
        foreach (
            [
                'another family' => new Occupancy('a', self::crop('kale'), $on->plus(-500), $on->plus(-400), 1.0),
                'a cover crop' => new Occupancy('a', self::crop('cover-rye'), $on->plus(-190), $on->plus(-100), 1.0),
                'its own family beside it' => new Occupancy('a', self::crop('dill'), $on->plus(10), $on->plus(30), 1.0),
                'its own family long ago' => new Occupancy('a', self::crop('dill'), $on->plus(-1500), $on->plus(-1400), 1.0),
            ] as $what => $before
        ) {
            self::assertSame(
                'offending',
                Rotation::broken(new Bed('one', 10.0, [$before, $offending]), self::crop('carrot'), $on, $on->plus(60))?->key,
                $what,
            );
        }
    }

    public function test_of_several_beds_the_one_that_stood_empty_the_shortest_is_taken(): void
    {
        [$from, $to] = [Day::fromIso('2026-06-01'), Day::fromIso('2026-10-31')];
        $wish = new Wish('kale', [self::candidate('kale', '06-01', '07-30', 50, 60, 30)], 8.0);
        $bed = static fn (string $key, ?string $ended): Bed => new Bed(
            $key,
            10.0,
            $ended === null ? [] : [self::stay('carrot', '2026-03-01', $ended)],
        );
        $taken = static fn (Bed ...$beds): array => array_map(
            static fn (Placement $p): array => [$p->bed?->key, $p->reason],
            SeasonPlanner::plan(array_values($beds), [$wish], $from, $to),
        )[0];
        self::assertSame(
            ['late', 'follows'],
            $taken($bed('early', '2026-04-10'), $bed('late', '2026-05-20'), $bed('middle', '2026-05-01')),
        );
        self::assertSame(['late', 'follows'], $taken($bed('never', null), $bed('late', '2026-05-20')), 'an empty bed stays whole');
        self::assertSame(['first', 'free'], $taken($bed('first', null), $bed('second', null)));
    }

    public function test_what_stands_is_known_by_what_was_seen_then_by_the_season_then_by_what_is_usual(): void
    {
        $carrot = self::crop('carrot');
        $usual = self::candidate('carrot', '04-01', '06-30', 70, 80, 20)->days;
        $in = Day::fromIso('2026-05-01');
        $likely = [Day::fromIso('2026-07-20'), Day::fromIso('2026-08-02')];
        $told = static fn (Standing $s): array => [$s->kind->value, $s->first?->iso(), $s->to->iso()];
        self::assertSame(
            ['under-way', '2026-07-10', '2026-08-09'],
            $told(Standing::ofSowing($carrot, $usual, $in, null, null, null, false)),
            '70 days; 80 and 20',
        );
        self::assertSame(
            ['under-way', '2026-07-20', Day::fromIso('2026-08-02')->plus($carrot->harvest->days)->iso()],
            $told(Standing::ofSowing($carrot, $usual, $in, null, $likely, null, false)),
        );
        self::assertSame(
            ['under-way', '2026-07-15', Day::fromIso('2026-08-02')->plus($carrot->harvest->days)->iso()],
            $told(Standing::ofSowing($carrot, $usual, $in, Day::fromIso('2026-07-15'), $likely, null, false)),
        );
        self::assertSame(
            ['done', '2026-07-15', '2026-08-01'],
            $told(Standing::ofSowing($carrot, $usual, $in, Day::fromIso('2026-07-15'), $likely, Day::fromIso('2026-08-01'), false)),
        );
        self::assertSame(
            ['lost', null, '2026-06-01'],
            $told(Standing::ofSowing($carrot, $usual, $in, null, $likely, Day::fromIso('2026-06-01'), true)),
        );
        self::assertSame(
            ['under-way', null, '2026-05-01'],
            $told(Standing::ofSowing($carrot, null, $in, null, null, null, false)),
            'nothing is known of it here',
        );
        self::assertSame(
            ['done', null, '2026-05-01'],
            $told(Standing::ofSowing($carrot, null, $in, null, null, Day::fromIso('2026-04-01'), false)),
            'it ends no earlier than it begins',
        );
        self::assertSame(['planned', '2026-07-10', '2026-08-09'], $told(Standing::ofPlan($carrot, $usual, $in)));
        self::assertSame(
            ['planned', null, $in->plus((int) ceil($carrot->growth->maturityDays) + $carrot->harvest->days)->iso()],
            $told(Standing::ofPlan($carrot, null, $in)),
        );
        self::assertSame(
            [false, false, true, true],
            array_map(static fn (StandingKind $k): bool => $k->isOver(), [
                StandingKind::Planned,
                StandingKind::UnderWay,
                StandingKind::Lost,
                StandingKind::Done,
            ]),
        );
    }

    public function test_a_sowing_of_the_crop_within_three_weeks_is_the_one_that_was_meant_and_of_one_planting(): void
    {
        $day = static fn (int $offset): Day => Day::fromIso('2026-05-01')->plus($offset);
        self::assertSame(
            [1 => 10, 2 => 11],
            Standing::meant(
                [1 => [5, $day(0)], 2 => [5, $day(10)], 3 => [5, $day(20)]],
                [10 => [5, $day(-21)], 11 => [5, $day(31)]],
            ),
        );
        self::assertSame([], Standing::meant([1 => [5, $day(0)]], [10 => [5, $day(-22)], 11 => [5, $day(22)], 12 => [6, $day(0)]]));
        self::assertSame(
            [1 => 11],
            Standing::meant([1 => [5, $day(0)], 2 => [5, $day(1)]], [10 => [6, $day(0)], 11 => [5, $day(21)]]),
            'one sowing, one planting',
        );
    }

    public function test_what_cannot_go_as_it_is_planned_is_told_and_what_is_over_is_not(): void
    {
        $usual = self::candidate('carrot', '04-01', '06-30', 70, 80, 20)->days;
        $bed = new Bed('one', 10.0, [
            self::stay('kale', '2026-01-01', '2026-04-10', 8.0, 'over'),
            self::stay('beet', '2026-04-05', '2026-05-01', 8.0, 'lost'),
            self::stay('parsnip', '2025-04-01', '2025-10-01', 8.0, 'then'),
            self::stay('carrot', '2026-07-01', '2026-09-30', 8.0, 'plan'),
            self::stay('bush-bean', '2026-09-01', '2026-10-10', 8.0, 'other'),
        ]);
        $kinds = [
            'over' => StandingKind::Done,
            'lost' => StandingKind::Lost,
            'then' => StandingKind::Done,
            'plan' => StandingKind::Planned,
            'other' => StandingKind::UnderWay,
        ];
        $told = static fn (array $kinds, array $days): array => array_map(
            static fn (Conflict $c): array => [$c->kind, $c->from->iso(), $c->to->iso(), $c->keys],
            Conflict::on($bed, $kinds, $days),
        );
        $double = ['double', '2026-09-01', '2026-09-30', ['plan', 'other']];
        self::assertSame(
            [$double, ['rest', '2026-07-01', '2026-09-30', ['plan', 'then']], ['outside', '2026-07-01', '2026-07-01', ['plan']]],
            $told($kinds, ['plan' => $usual]),
        );
        self::assertSame([$double], $told($kinds, []), 'where nobody knows its windows here');
        self::assertSame(
            [$double],
            $told(['plan' => StandingKind::UnderWay] + $kinds, ['plan' => $usual]),
            'what stands already is not argued with',
        );
        self::assertSame(
            [['double', '2026-04-05', '2026-04-10', ['over', 'lost']], $double],
            $told(['over' => StandingKind::UnderWay] + $kinds, []),
        );
        self::assertSame(
            ['2026-07-01', '2026-09-01', null],
            array_map(static fn (string $on): ?string => $bed->nextAfter(Day::fromIso($on))?->iso(), [
                '2026-06-30',
                '2026-07-01',
                '2026-09-01',
            ]),
        );
        self::assertSame(
            ['over', 'lost', 'then', 'other'],
            array_map(static fn (Occupancy $s): string => $s->key, $bed->without('plan')->stays),
        );
    }

    public function test_what_is_sown_in_a_bed_made_ready_comes_up_as_in_soil_two_degrees_warmer(): void
    {
        $radish = self::crop('radish');
        $on = Day::fromIso('2026-05-01');
        $soil = array_fill(0, 365, 30.0);
        $soil[$on->yearDay()->number - 1] = 10.0;
        $days = $radish->emergence->daysAt(12.0) ?? self::fail('radishes come up in cool soil');
        self::assertSame($on->plus((int) ceil($days))->iso(), Preparation::up($radish, Route::Direct, $on, $soil)?->iso());
        self::assertNull(Preparation::up($radish, Route::Transplant, $on, $soil));
        $cold = array_fill(0, 365, -5.0);
        $least = $radish->emergence->daysAt(3.0);
        self::assertSame(
            $least === null ? null : $on->plus((int) ceil($least))->iso(),
            Preparation::up($radish, Route::Direct, $on, $cold)?->iso(),
        );
    }

    public function test_what_fits_comes_to_a_harvest_worth_having_within_the_gap(): void
    {
        $radish = self::candidate('radish', '05-05', '06-30', 25, 30, 10, 0.8);
        $bed = new Bed('one', 10.0, []);
        $from = Day::fromIso('2026-05-01');
        // Sown on May 5: nine of ten by June 4, and four days of harvest are worth it: June 8.
        $fit = Fit::of($bed, $radish, $from, Day::fromIso('2026-06-08'));
        self::assertSame(
            ['2026-05-05', '2026-05-30', '2026-06-08', 0.8],
            [$fit?->on->iso(), $fit?->first->iso(), $fit?->to->iso(), $fit?->share],
        );
        self::assertNull(Fit::of($bed, $radish, $from, Day::fromIso('2026-06-07')));
        $whole = Fit::of($bed, $radish, $from, Day::fromIso('2026-07-30'));
        self::assertSame('2026-06-14', $whole?->to->iso(), 'it is over then');
        self::assertEqualsWithDelta((0.8 * 0.6) / 41, $whole->worth, 1e-12, 'kilograms a metre and day from 5 May to 14 June');
        self::assertNull(Fit::of($bed, $radish, Day::fromIso('2026-07-01'), Day::fromIso('2026-12-01')), 'no day is open');
    }

    public function test_the_best_comes_first_what_breaks_a_rest_last_and_legumes_after_hungry_crops(): void
    {
        $candidates = [
            self::candidate('kale', '04-01', '09-01', 50, 60, 30),
            self::candidate('radish', '04-01', '09-01', 25, 30, 10),
            self::candidate('carrot', '04-01', '09-01', 70, 80, 20),
            self::candidate('bush-bean', '04-01', '09-01', 50, 60, 20),
        ];
        $names = static fn (Bed $bed, string $to = '2026-10-01'): array => array_map(
            static fn (Fit $f): string => $f->candidate->crop->slug,
            Fit::rank($bed, $candidates, Day::fromIso('2026-05-01'), Day::fromIso($to)),
        );
        $empty = new Bed('one', 10.0, []);
        $worth = array_column(
            array_map(
                static fn (Fit $f): array => [$f->candidate->crop->slug, $f->worth],
                Fit::rank($empty, $candidates, Day::fromIso('2026-05-01'), Day::fromIso('2026-10-01')),
            ),
            1,
            0,
        );
        $sorted = $worth;
        arsort($sorted);
        self::assertSame(array_keys($sorted), array_keys($worth));
        self::assertNotContains('carrot', $names($empty, '2026-07-15'), 'it would not be ready');
        $afterCabbage = new Bed('one', 10.0, [self::stay('cabbage-early', '2025-04-01', '2025-08-01')]);
        self::assertSame('bush-bean', $names($afterCabbage)[0], 'cabbage took much, and beans give');
        self::assertSame(['carrot'], array_values(array_diff(array_slice($names($afterCabbage), 0, 2), ['bush-bean'])));
        self::assertEqualsCanonicalizing(
            ['radish', 'kale'],
            array_slice($names($afterCabbage), 2),
            'what follows its own family goes last',
        );
        $fits = Fit::rank($afterCabbage, $candidates, Day::fromIso('2026-05-01'), Day::fromIso('2026-10-01'));
        self::assertSame('cabbage-early 2025-04-01', $fits[3]->breaks?->key);
    }

    public function test_flowers_are_ordered_by_stems_after_what_is_eaten(): void
    {
        // Cosmos gives fewer stems a meter and day than zinnia, and a single sunflower fewer still; a radish far less than either, in
        // kilograms.
        $candidates = [
            self::candidate('sunflower-single', '04-01', '09-01', 60, 70, 10),
            self::candidate('cosmos', '04-01', '09-01', 60, 70, 40, 0.6),
            self::candidate('radish', '04-01', '09-01', 25, 30, 10),
            self::candidate('zinnia', '04-01', '09-01', 60, 70, 55, 1.0),
        ];
        $fits = Fit::rank(new Bed('one', 10.0, []), $candidates, Day::fromIso('2026-05-01'), Day::fromIso('2026-10-01'));
        self::assertSame(
            ['radish', 'zinnia', 'cosmos', 'sunflower-single'],
            array_map(static fn (Fit $f): string => $f->candidate->crop->slug, $fits),
        );
        self::assertSame(['kg', 'stems', 'stems', 'stems'], array_column($fits, 'unit'));
        // Twelve stems a plant, four plants a meter; May 1 to September 3, 70 + 55 days on.
        self::assertEqualsWithDelta(48.0 / 126, $fits[1]->worth, 1e-12);
    }

    public function test_a_gap_of_forty_days_that_nothing_fits_gets_a_cover_crop(): void
    {
        $candidates = [
            self::candidate('cover-rye', '08-01', '10-15', 30, 30, 5),
            self::candidate('carrot', '04-01', '06-01', 70, 80, 20),
        ];
        $fits = static fn (string $to, Candidate ...$more): array => array_map(
            static fn (Fit $f): string => $f->candidate->crop->slug,
            Fit::rank(
                new Bed('one', 10.0, [self::stay('kale', '2025-05-01', '2025-09-01')]),
                [...$candidates, ...array_values($more)],
                Day::fromIso('2026-09-01'),
                Day::fromIso($to),
            ),
        );
        self::assertSame([], $fits('2026-10-09'), 'thirty-nine days');
        self::assertSame(['cover-rye'], $fits('2026-10-10'));
        self::assertSame(
            ['lettuce-leaf'],
            $fits('2026-11-10', self::candidate('lettuce-leaf', '09-01', '09-10', 25, 30, 10)),
            'something else fits',
        );
        self::assertContains(
            'cover-rye',
            $fits('2026-11-10', self::candidate('radish', '09-01', '09-10', 25, 30, 10)),
            'radish would follow kale, so the cover is told too',
        );
    }

    public function test_seed_by_the_row_and_by_the_square(): void
    {
        $carrot = self::crop('carrot')->with(seed: new Seed(3, 1, 0.6, 800.0));
        $need = SeedNeed::ofRows($carrot, 4.0, 2);
        self::assertEqualsWithDelta([160.0, 800.0, 1.0], [$need->plants, $need->seeds, $need->grams], 1e-9);
        $square = SeedNeed::ofArea($carrot, 0.9);
        self::assertEqualsWithDelta(10 * (float) $carrot->spacing->perSquareFoot, $square?->plants, 1e-9);
        $garlic = SeedNeed::ofRows(self::crop('garlic-hardneck'), 6.0, 1);
        self::assertEqualsWithDelta(50.0, $garlic->plants, 1e-9);
        self::assertSame([null, null], [$garlic->seeds, $garlic->grams]);
        self::assertNull(SeedNeed::ofRows($carrot->with(seed: new Seed(1, 1, 0.5, null)), 1.0, 1)->grams);
        self::assertNull(SeedNeed::ofRows($carrot->with(seed: null), 1.0, 1)->seeds);
        $spares = SeedNeed::ofSpares($carrot, 4.0, 2);
        self::assertEqualsWithDelta([176.0, 880.0, 1.1], [$spares->plants, $spares->seeds, $spares->grams], 1e-9);
    }

    public function test_spare_seedlings_are_started_and_set_out_where_they_help(): void
    {
        $days = ['start' => Day::fromIso('2026-03-12'), 'ready' => Day::fromIso('2026-04-23'), 'until' => Day::fromIso('2026-06-30')];
        self::assertSame(
            [['spares-start', '2026-03-12', null], ['spares-ready', '2026-04-23', '2026-06-30']],
            array_map(static fn (Task $t): array => [$t->key, $t->on->iso(), $t->to?->iso()], Preparation::ofSpares($days)),
        );
        self::assertSame([], Preparation::ofSpares(['until' => null] + $days), 'they come too late');
    }

    public function test_preparation_is_counted_from_the_sowing(): void
    {
        $bean = self::crop('bush-bean');
        $on = Day::fromIso('2026-05-20');
        $asked = $bean->soilMinimum(Route::Direct) ?? self::fail('beans ask for warm soil');
        $tasks = static function (float $soil, float $maximum, Route $route = Route::Direct, ?Crop $crop = null) use (
            $bean,
            $on,
        ): array {
            $told = [];
            foreach (
                Preparation::of(
                    $crop ?? $bean,
                    $route,
                    $on,
                    $route === Route::Direct ? $on->plus(9) : null,
                    $on->plus(60),
                    array_fill(0, 365, $soil),
                    array_fill(0, 365, $maximum),
                ) as $task
            ) {
                $told[$task->key] = $task->on->iso().($task->to === null ? '' : " {$task->to->iso()}");
            }

            return $told;
        };
        self::assertSame(
            [
                'compost' => '2026-02-25',
                'no-raw-manure' => '2026-03-21 2026-07-19',
                'compost-turned' => '2026-04-08',
                'amend' => '2026-05-06',
                'warm' => '2026-05-13 2026-05-19',
                'water' => '2026-05-20 2026-05-29',
                'thin' => '2026-06-12',
            ],
            $tasks($asked - 5.0, 20.0),
        );
        self::assertArrayNotHasKey('warm', $tasks($asked - 4.9, 20.0));
        self::assertSame('2026-05-20 2026-06-09', $tasks($asked, $bean->heat->maximumC)['shade']);
        self::assertArrayNotHasKey('shade', $tasks($asked, $bean->heat->maximumC - 0.1));
        $set = $tasks(25.0, 20.0, Route::Transplant, self::crop('kale'));
        self::assertSame([false, false], [isset($set['thin']), isset($set['water'])]);
        self::assertArrayNotHasKey('thin', $tasks(25.0, 20.0, Route::Direct, self::crop('garlic-hardneck')));
        $hot = array_fill(0, 365, 20.0);
        $hot[$on->plus(20)->yearDay()->number - 1] = 40.0;
        $shade = array_values(
            array_filter(
                Preparation::of($bean, Route::Direct, $on, null, $on->plus(60), array_fill(0, 365, 25.0), $hot),
                static fn (Task $t): bool => $t->key === 'shade',
            ),
        );
        self::assertSame(
            ['2026-06-09', '2026-06-09'],
            [$shade[0]->on->iso(), $shade[0]->to?->iso()],
            'the last of its tender days',
        );
    }

    public function test_a_cover_crop_is_cut_before_it_seeds_and_three_weeks_before_what_comes_after_it(): void
    {
        $rye = self::crop('cover-rye');
        self::assertSame(60, $rye->harvest->days);
        [$on, $worth] = [Day::fromIso('2026-09-10'), Day::fromIso('2026-11-01')];
        $told = static fn (?string $next, ?Day $up = null): array => array_map(
            static fn (Task $t): array => [$t->key, $t->on->iso(), $t->to?->iso()],
            Preparation::ofCover($rye, $on, $up, $worth, $next === null ? null : Day::fromIso($next)),
        );
        self::assertSame([['cut', '2026-11-01', '2026-12-30']], $told(null));
        self::assertSame([['cut', '2026-11-01', '2026-12-30']], $told('2027-01-20'), 'three weeks after its last day');
        self::assertSame([['cut', '2026-11-01', '2026-12-29']], $told('2027-01-19'));
        self::assertSame([['cut', '2026-10-25', '2026-10-25']], $told('2026-11-15'), 'before its stand is worth having');
        self::assertSame([['water', '2026-09-10', '2026-09-18'], ['cut', '2026-11-01', '2026-12-30']], $told(null, $on->plus(8)));
    }

    public function test_a_season_is_planned_by_its_rules(): void
    {
        [$from, $to] = [Day::fromIso('2026-04-01'), Day::fromIso('2026-10-31')];
        $beds = [new Bed('A', 10.0, []), new Bed('B', 10.0, [self::stay('tomato-main', '2025-05-01', '2025-10-01')])];
        $bean = new Wish('bean', [self::candidate('bush-bean', '05-10', '05-20', 50, 60, 20)], 8.0);
        $carrot = new Wish('carrot', [self::candidate('carrot', '04-01', '06-30', 70, 80, 20)], 8.0);
        $kale = new Wish('kale', [self::candidate('kale', '05-01', '07-30', 50, 60, 30)], 8.0);
        $plan = SeasonPlanner::plan($beds, [$kale, $carrot, $bean], $from, $to);
        $told = array_map(
            static fn (Placement $p): array => [$p->wish->key, $p->bed?->key, $p->on?->iso(), $p->to?->iso(), $p->reason],
            $plan,
        );
        self::assertSame(
            [
                ['bean', 'B', '2026-05-10', '2026-07-29', 'feeds'],
                ['carrot', 'A', '2026-04-01', '2026-07-10', 'free'],
                ['kale', 'A', '2026-07-11', '2026-10-09', 'follows'],
            ],
            $told,
            'the one with fewest days first, where it feeds; the last follows on what ends first',
        );
        $none = SeasonPlanner::plan(
            [new Bed('A', 5.0, [])],
            [$bean, new Wish('corn', [self::candidate('sweet-corn', '11-15', '11-20', 50, 60, 20)], 1.0)],
            $from,
            $to,
        );
        self::assertSame(
            [['corn', 'no-window'], ['bean', 'no-room']],
            array_map(static fn (Placement $p): array => [$p->wish->key, $p->reason], $none),
        );
        $rest = SeasonPlanner::plan(
            [new Bed('A', 10.0, [self::stay('pea-snap', '2024-04-01', '2024-07-01')])],
            [$bean],
            $from,
            $to,
        );
        self::assertSame([null, 'rest'], [$rest[0]->bed, $rest[0]->reason]);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 12) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_plan_books_ground_twice_breaks_a_rest_or_leaves_a_window(int $seed): void
    {
        mt_srand($seed);
        $slugs = [
            'radish',
            'kale',
            'carrot',
            'bush-bean',
            'pea-snap',
            'tomato-main',
            'lettuce-leaf',
            'beet',
            'onion-long-day',
            'zinnia',
            'cucumber',
            'garlic-hardneck',
        ];
        [$from, $to] = [Day::fromIso('2026-03-01'), Day::fromIso('2026-11-30')];
        $beds = $wishes = [];
        for ($i = 0; $i < 6; $i++) {
            $start = Day::fromIso('2024-04-01')->plus(mt_rand(0, 700));
            $beds[] = new Bed("bed {$i}", (float) mt_rand(3, 12), [
                new Occupancy(
                    "old {$i}",
                    self::crop($slugs[mt_rand(0, 11)]),
                    $start,
                    $start->plus(mt_rand(20, 200)),
                    (float) mt_rand(1, 3),
                ),
            ]);
        }
        for ($i = 0; $i < 25; $i++) {
            $first = Day::fromIso('2026-03-01')->plus(mt_rand(0, 200));
            $wishes[] = new Wish(
                "wish {$i}",
                [
                    self::candidate(
                        $slugs[mt_rand(0, 11)],
                        substr($first->iso(), 5),
                        substr($first->plus(mt_rand(5, 60))->iso(), 5),
                        mt_rand(25, 60),
                        mt_rand(61, 90),
                        mt_rand(5, 40),
                    ),
                ],
                mt_rand(2, 12) / 2,
            );
        }
        $plan = SeasonPlanner::plan($beds, $wishes, $from, $to);
        self::assertCount(25, $plan);
        $byKey = array_combine(array_map(static fn (Bed $b): string => $b->key, $beds), $beds);
        $placed = 0;
        foreach ($plan as $placement) {
            if ($placement->bed === null || $placement->candidate === null || $placement->on === null || $placement->to === null) {
                continue;
            }
            $placed++;
            self::assertTrue($placement->candidate->days->isOpen($placement->on));
            self::assertTrue($placement->on->number >= $from->number && $placement->on->number <= $to->number);
            self::assertNull(
                Rotation::broken($byKey[$placement->bed->key], $placement->candidate->crop, $placement->on, $placement->to),
                $placement->wish->key,
            );
            $byKey[$placement->bed->key] = $byKey[$placement->bed->key]->with(
                new Occupancy(
                    $placement->wish->key,
                    $placement->candidate->crop,
                    $placement->on,
                    $placement->to,
                    $placement->wish->metres,
                ),
            );
        }
        self::assertGreaterThan(5, $placed);
        foreach ($byKey as $bed) {
            self::assertSame([], $bed->doubleBooked(), "{$bed->key}, seed {$seed}");
        }
    }

    public function test_a_stay_that_is_none_and_a_wish_for_nothing_are_refused(): void
    {
        foreach (
            [
                static fn () => self::stay('radish', '2026-05-01', '2026-04-30'),
                static fn () => self::stay('radish', '2026-05-01', '2026-05-01', 0.0),
                static fn () => new Wish('x', [], 1.0),
                static fn () => new Wish('x', [self::candidate('radish', '05-01', '05-02', 1, 1, 1)], 0.0),
            ] as $make
        ) {
            try {
                $make();
                self::fail('taken');
            } catch (InvalidArgumentException) {
                $this->addToAssertionCount(1);
            }
        }
        self::assertSame('2026-05-01', self::stay('radish', '2026-05-01', '2026-05-01')->to->iso());
    }

    public function test_worth_is_what_a_square_metre_gives_in_a_week_from_the_best_day_on(): void
    {
        // Radish: 600 g a meter, rows of 20 cm; 40 + 9 days and the first one on the ground.
        $worth = BedYield::of(self::candidate('radish', '04-01', '05-20', 30, 40, 9, 0.8)) ?? self::fail('no worth');
        self::assertSame(['04-01', 50, 0.8], [$worth->on->iso(), $worth->days, $worth->share]);
        self::assertEqualsWithDelta((((0.8 * 0.6) / 0.2) * 7) / 50, $worth->amount, 1e-12);
        // Zinnia: twelve stems a plant, four plants a meter, rows of 30 cm.
        $stems = BedYield::of(self::candidate('zinnia', '05-10', '06-01', 60, 70, 55, 1.0)) ?? self::fail('no worth');
        self::assertEqualsWithDelta(((48.0 / 0.3) * 7) / 126, $stems->amount, 1e-12);
    }

    public function test_the_best_day_is_one_of_its_windows(): void
    {
        $all = self::candidate('radish', '04-01', '05-20', 30, 40, 9, 0.8)->days;
        [$shares, $late] = [$all->shares, $all->late];
        $shares[YearDay::numberOf(4, 20) - 1] = 0.9;
        $shares[YearDay::numberOf(5, 21) - 1] = 1.0;
        $best = static fn (array $shares, array $late): ?BedYield => BedYield::of(
            new Candidate(
                self::crop('radish'),
                null,
                Route::Direct,
                new GroundDays($shares, $all->first, $late, $all->harvest, $all->open),
            ),
        );
        self::assertSame('04-20', $best($shares, $late)?->on->iso(), 'what is better lies outside');
        $late[YearDay::numberOf(5, 3) - 1] = 20;
        self::assertSame(['05-03', 30], [$best($shares, $late)?->on->iso(), $best($shares, $late)?->days], 'quicker is better');
        self::assertNull($best($shares, array_fill(0, 365, null)));
    }

    public function test_what_gives_nothing_known_or_has_no_window_has_no_worth(): void
    {
        self::assertNull(BedYield::of(self::candidate('cover-rye', '09-01', '10-01', 60, 70, 30)));
        $none = self::candidate('radish', '04-01', '04-02', 30, 40, 9);
        self::assertNull(
            BedYield::of(
                new Candidate(
                    $none->crop,
                    null,
                    Route::Direct,
                    new GroundDays(
                        $none->days->shares,
                        $none->days->first,
                        $none->days->late,
                        $none->days->harvest,
                        array_fill(0, 365, false),
                    ),
                ),
            ),
        );
    }
}
