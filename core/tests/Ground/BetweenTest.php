<?php

declare(strict_types=1);

namespace Anthesis\Tests\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Crop\Spacing;
use Anthesis\Crop\Watering;
use Anthesis\Ground\Bed;
use Anthesis\Ground\Between;
use Anthesis\Ground\Candidate;
use Anthesis\Ground\Conflict;
use Anthesis\Ground\GroundDays;
use Anthesis\Ground\Occupancy;
use Anthesis\Ground\StandingKind;
use Anthesis\Record\Day;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Two crops on the same meters: pairs worked by hand, and beds filled at random. */
final class BetweenTest extends TestCase
{
    private static function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    private static function stay(
        Crop|string $crop,
        string $from,
        string $to,
        float $metres = 5.0,
        ?string $between = null,
        ?string $key = null,
    ): Occupancy {
        $crop = is_string($crop) ? self::crop($crop) : $crop;

        return new Occupancy($key ?? "{$crop->slug} {$from}", $crop, Day::fromIso($from), Day::fromIso($to), $metres, $between);
    }

    /** @return array<string, array{array{string, string, string}, array{string, string, string}, list<string>, bool, int, float}> first, second, against, relay, rows, cm apart */
    public static function pairs(): array
    {
        $tomato = ['tomato-main', '2026-05-25', '2026-10-05'];
        $pepper = ['pepper-sweet', '2026-05-28', '2026-10-01'];
        $pumpkin = ['pumpkin', '2026-06-01', '2026-09-30'];

        return [
            // 76 days: closed from July 2. Of 100 cm the tomatoes take 30 yet, lettuce 20 each: 3 rows, and no more than 100 / 30.
            'a quick one out before the slow one closes' => [$tomato, ['lettuce-leaf', '2026-05-25', '2026-07-01'], [], true, 3, 25.0],
            'on the day on which it closes it is no longer quick' => [
                $tomato,
                ['lettuce-leaf', '2026-05-25', '2026-07-02'],
                [],
                false,
                2,
                100 / 3,
            ],
            // 72 days; 60 cm less 40, onions 10 each: 2 rows. Roots 40 and 70 cm, 50 cm high below 70.
            'onions under peppers' => [$pepper, ['onion-long-day', '2026-05-28', '2026-08-20'], [], false, 2, 20.0],
            'vines over bulbs' => [$pumpkin, ['onion-long-day', '2026-06-01', '2026-08-20'], ['vines'], false, 6, 200 / 7],
            'bulbs first and vines over them later' => [
                ['onion-long-day', '2026-05-01', '2026-08-20'],
                ['pumpkin', '2026-06-01', '2026-09-30'],
                ['room', 'vines'],
                false,
                0,
                30.0,
            ],
            // Out by July 22, 52 days after the pumpkins; 120 / 2 of the 200 cm are theirs yet.
            'a quick one before the vines run' => [$pumpkin, ['radish', '2026-06-01', '2026-07-05'], [], true, 10, 200 / 11],
            'both hungry, and out of the same depth' => [
                ['brussels-sprouts', '2026-05-20', '2026-11-20'],
                ['potato-main', '2026-05-20', '2026-09-20'],
                ['hunger', 'room', 'roots'],
                false,
                0,
                70.0,
            ],
            'of one family' => [
                $tomato,
                ['pepper-sweet', '2026-05-28', '2026-10-01'],
                ['family', 'hunger', 'shade', 'roots'],
                false,
                1,
                50.0,
            ],
            'a warm one in the shade' => [$tomato, ['basil', '2026-05-28', '2026-09-01'], ['shade'], false, 1, 50.0],
            'a cool one in the shade is glad of it' => [$tomato, ['spinach', '2026-07-01', '2026-09-01'], [], false, 3, 25.0],
            // 70 and 90 cm deep, but beans bring their own; 220 and 190 cm high.
            'beans with corn' => [
                ['sweet-corn', '2026-05-25', '2026-09-01'],
                ['pole-bean', '2026-06-05', '2026-09-10'],
                [],
                false,
                1,
                37.5,
            ],
            'roots as deep' => [
                ['sweet-corn', '2026-05-25', '2026-09-01'],
                ['swiss-chard', '2026-05-25', '2026-09-10'],
                [],
                false,
                1,
                37.5,
            ],
            'roots that are' => [['parsnip', '2026-04-25', '2026-10-01'], ['beet', '2026-04-25', '2026-08-10'], ['roots'], false, 1, 20.0],
            'what is not known' => [
                ['celeriac', '2026-05-20', '2026-10-01'],
                ['lettuce-leaf', '2026-05-20', '2026-09-01'],
                ['room', 'unknown'],
                false,
                0,
                45.0,
            ],
            'no room' => [
                ['cabbage-early', '2026-05-01', '2026-07-30'],
                ['lettuce-leaf', '2026-05-20', '2026-07-20'],
                ['room'],
                false,
                0,
                50.0,
            ],
            'but while it is small' => [
                ['cabbage-early', '2026-05-01', '2026-07-30'],
                ['lettuce-leaf', '2026-05-01', '2026-05-30'],
                [],
                true,
                1,
                25.0,
            ],
            'never at once' => [$tomato, ['spinach', '2026-04-01', '2026-05-24'], ['apart'], true, 3, 25.0],
        ];
    }

    /**
     * @param  array{string, string, string}  $first
     * @param  array{string, string, string}  $second
     * @param  list<string>  $against
     */
    #[DataProvider('pairs')]
    public function test_pairs_worked_by_hand(array $first, array $second, array $against, bool $isRelay, int $rows, float $apart): void
    {
        $between = Between::judge(self::stay(...$first), self::stay(...$second));
        self::assertSame([$against, $isRelay, $rows], [$between->against, $between->isRelay, $between->rows]);
        self::assertEqualsWithDelta($apart, $between->apartCm, 1e-9);
        self::assertSame($against === [], $between->agrees());
    }

    public function test_bounds_are_where_they_are_said_to_be(): void
    {
        $tall = self::crop('tomato-main');
        $low = static fn (float $height, float $root, string $kind = 'warm'): Crop => self::crop('basil')->with(
            heightCm: $height,
            kind: $kind,
            watering: new Watering(null, $root),
        );
        $judge = static fn (Crop $second): array => Between::judge(
            self::stay($tall, '2026-05-25', '2026-10-05'),
            self::stay($second, '2026-05-28', '2026-09-01'),
        )->against;
        self::assertSame([], $judge($low(90.0, 40.0)), '180 is twice 90');
        self::assertSame(['shade'], $judge($low(89.0, 40.0)));
        self::assertSame([], $judge($low(89.0, 40.0, 'cool')));
        self::assertSame([], $judge($low(90.0, 63.0)), '63 is 7 tenths of 90');
        self::assertSame(['roots'], $judge($low(90.0, 64.0)));
        self::assertSame(['roots'], $judge($low(90.0, 128.0)), 'whichever goes deeper');
        self::assertSame([], $judge($low(90.0, 129.0)));
        $running = static fn (float $row, float $height): Crop => $low($height, 40.0, 'cool')->with(
            spacing: new Spacing(2.0, 30.0, $row, null, null),
        );
        self::assertSame(['vines'], $judge($running(100.0, 70.0)));
        self::assertSame([], $judge($running(100.0, 71.0)), 'it stands upright');
        self::assertSame([], $judge($running(99.0, 60.0)), 'it does not run far');
        $metres = Between::judge(
            self::stay($tall, '2026-05-25', '2026-10-05', 4.0),
            self::stay($low(90.0, 40.0), '2026-05-28', '2026-09-01', 4.1),
        );
        self::assertSame(['metres'], $metres->against);
    }

    public function test_what_stands_between_takes_metres_only_where_the_other_does_not(): void
    {
        $first = self::stay('tomato-main', '2026-05-25', '2026-09-30', 6.0, null, 'tomatoes');
        $between = self::stay('lettuce-leaf', '2026-05-20', '2026-10-10', 6.0, 'tomatoes', 'lettuce');
        $bed = new Bed('one', 8.0, [$first, $between]);
        $free = static fn (string $from, string $to): float => $bed->free(Day::fromIso($from), Day::fromIso($to));
        self::assertSame(
            [2.0, 2.0, 2.0],
            [$free('2026-05-20', '2026-05-24'), $free('2026-06-01', '2026-06-01'), $free('2026-10-01', '2026-10-10')],
        );
        self::assertSame([8.0, 2.0], [$free('2026-10-11', '2026-10-20'), $free('2026-09-01', '2026-10-20')]);
        self::assertSame([], $bed->doubleBooked());
        // More of it than the other has, and two at once between the same rows, take ground of their own.
        $more = $bed->with(self::stay('radish', '2026-06-01', '2026-06-20', 3.0, 'tomatoes', 'radish'));
        self::assertSame(
            [['2026-06-01', '2026-06-20', 9.0, ['tomatoes', 'lettuce', 'radish']]],
            array_map(static fn (array $s): array => [$s['from']->iso(), $s['to']->iso(), $s['metres'], $s['keys']], $more->doubleBooked()),
        );
        // Where the other is gone from the bed it is a stay like any.
        self::assertSame(2.0, $bed->without('tomatoes')->free(Day::fromIso('2026-06-01'), Day::fromIso('2026-06-02')));
        self::assertNull($bed->stay(null));
        self::assertSame($between, $bed->stay('lettuce'));
    }

    public function test_a_pair_that_does_not_go_together_is_a_conflict_with_the_reasons(): void
    {
        $days = new GroundDays(
            array_fill(0, 365, 0.9),
            array_fill(0, 365, 60),
            array_fill(0, 365, 70),
            array_fill(0, 365, 20),
            array_fill(0, 365, true),
        );
        $bed = new Bed('one', 10.0, [
            self::stay('pumpkin', '2026-06-01', '2026-09-30', 10.0, null, 'pumpkins'),
            self::stay('onion-long-day', '2026-06-01', '2026-08-20', 10.0, 'pumpkins', 'onions'),
            self::stay('radish', '2026-06-01', '2026-07-05', 10.0, 'pumpkins', 'radish'),
        ]);
        $kinds = array_fill_keys(['pumpkins', 'onions', 'radish'], StandingKind::Planned);
        $of = static fn (array $usual): array => array_map(
            static fn (Conflict $c): array => [$c->kind, $c->from->iso(), $c->to->iso(), $c->keys, $c->why],
            Conflict::on($bed, $kinds, array_fill_keys($usual, $days)),
        );
        self::assertSame(
            [
                ['double', '2026-06-01', '2026-07-05', ['pumpkins', 'onions', 'radish'], []],
                ['between', '2026-06-01', '2026-08-20', ['onions', 'pumpkins'], ['vines']],
            ],
            $of(['pumpkins', 'onions', 'radish']),
        );
    }

    public function test_what_goes_between_is_the_quick_first_and_only_where_there_is_room(): void
    {
        $candidate = static fn (string $crop, int $wait, int $harvest): Candidate => new Candidate(
            self::crop($crop),
            null,
            Route::Direct,
            new GroundDays(
                array_fill(0, 365, 0.9),
                array_fill(0, 365, $wait),
                array_fill(0, 365, $wait + 4),
                array_fill(0, 365, $harvest),
                array_fill(0, 365, true),
            ),
        );
        $candidates = [
            $candidate('basil', 50, 30),
            $candidate('onion-long-day', 90, 5),
            $candidate('radish', 24, 7),
            $candidate('cover-rye', 30, 10),
            $candidate('carrot', 200, 10),
        ];
        $first = self::stay('tomato-main', '2026-05-25', '2026-10-05', 6.0, null, 'tomatoes');
        $bed = new Bed('one', 8.0, [$first]);
        $told = static fn (Bed $bed, string $from): array => array_map(
            static fn (array $f): array => [
                $f['fit']->candidate->crop->slug,
                $f['fit']->on->iso(),
                $f['fit']->to->iso(),
                $f['between']->isRelay,
                $f['between']->against,
            ],
            Between::fits($bed, $first, $candidates, Day::fromIso($from)),
        );
        self::assertSame(
            [
                // 24 + 4 days to nine of ten first harvests, and a week of harvest; all before July 2.
                ['radish', '2026-05-25', '2026-06-29', true, []],
                ['onion-long-day', '2026-05-25', '2026-09-01', false, []],
                ['basil', '2026-05-25', '2026-08-17', false, ['shade']],
            ],
            $told($bed, '2026-04-01'),
        );
        // From July on radish stands beside them.
        self::assertSame([['radish', '2026-07-05', '2026-08-09', false, []]], array_slice($told($bed, '2026-07-05'), 0, 1));
        $half = $bed->with(self::stay('radish', '2026-05-25', '2026-06-29', 2.0, 'tomatoes', 'half'));
        self::assertSame(4.0, Between::room($half, $first, Day::fromIso('2026-06-01')));
        self::assertSame(6.0, Between::room($half, $first, Day::fromIso('2026-06-30')));
        $whole = $half->with(self::stay('lettuce-leaf', '2026-06-10', '2026-07-20', 4.0, 'tomatoes', 'rest'));
        self::assertSame(0.0, Between::room($whole, $first, Day::fromIso('2026-06-01')));
        self::assertSame([], $told($whole, '2026-06-01'));
        self::assertSame(2.0, Between::room($whole, $first, Day::fromIso('2026-07-01')));
    }

    #[Group('slow')]
    public function test_beds_filled_at_random_never_hold_two_where_the_ground_is_full(): void
    {
        mt_srand(7);
        $slugs = ['tomato-main', 'pepper-sweet', 'lettuce-leaf', 'radish', 'onion-long-day', 'pumpkin', 'spinach', 'sweet-corn'];
        for ($round = 0; $round < 60; $round++) {
            $stays = [];
            for ($i = 0; $i < 8; $i++) {
                $from = Day::fromIso('2026-04-01')->plus(mt_rand(0, 120));
                $between = $i > 1 && mt_rand(0, 1) === 1 ? 'stay '.mt_rand(0, 1) : null;
                $stays[] = new Occupancy(
                    "stay {$i}",
                    self::crop($slugs[mt_rand(0, 7)]),
                    $from,
                    $from->plus(mt_rand(10, 110)),
                    mt_rand(1, 8) / 2,
                    $between,
                );
            }
            $bed = new Bed('one', 10.0, $stays);
            $full = [];
            foreach ($bed->doubleBooked() as $span) {
                for ($day = $span['from']->number; $day <= $span['to']->number; $day++) {
                    $full[$day] = true;
                }
            }
            for ($day = Day::fromIso('2026-04-01')->number; $day < Day::fromIso('2026-12-31')->number; $day++) {
                $at = Day::fromNumber($day);
                // Reckoned otherwise: half meters laid out one by one, each with at most one crop and one between its rows.
                $own = $inside = 0;
                $rows = [];
                foreach ($stays as $stay) {
                    if ($stay->isOn($day) && $stay->between === null) {
                        $own += (int) (2 * $stay->metres);
                        $rows[$stay->key] = (int) (2 * $stay->metres);
                    }
                }
                foreach ($stays as $stay) {
                    for ($half = 0; $stay->isOn($day) && $stay->between !== null && $half < 2 * $stay->metres; $half++) {
                        ($rows[$stay->between] ?? 0) > 0 ? $rows[$stay->between]-- : $inside++;
                    }
                }
                self::assertEquals(max(0, 20 - $own - $inside) / 2, $bed->free($at, $at), "round {$round}, {$at->iso()}");
                self::assertSame($own + $inside > 20, isset($full[$day]), "round {$round}, {$at->iso()}");
            }
            $whole = array_map(
                static fn (int $d): float => $bed->free(Day::fromNumber($d), Day::fromNumber($d)),
                range($from->number, $from->number + 40),
            );
            self::assertSame(min($whole), $bed->free($from, $from->plus(40)), 'free on every day of a span');
        }
    }
}
