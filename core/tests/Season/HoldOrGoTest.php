<?php

declare(strict_types=1);

namespace Anthesis\Tests\Season;

use Anthesis\Record\Day;
use Anthesis\Replay\Outcome;
use Anthesis\Season\HoldOrGo;
use Anthesis\Season\Pile;
use Anthesis\Season\Prospects;
use Anthesis\Season\Sowing;
use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HoldOrGoTest extends TestCase
{
    private const TODAY = '2026-04-18';

    /** @param  Closure(int): int  $harvests  of ten members, by days after today; the others freeze young */
    private function verdict(Closure $harvests, int $days = 61): HoldOrGo
    {
        $sowings = [];
        for ($i = 0; $i < $days; $i++) {
            $members = [];
            for ($year = 0; $year < 10; $year++) {
                $harvest = $year < $harvests($i);
                $members[2000 + $year] = [
                    ($harvest ? Outcome::Harvest : ($year === 9 ? Outcome::Heat : Outcome::FreezeYoung))->code(),
                    $harvest ? 60 + $year - intdiv($i, 2) : null,
                ];
            }
            $sowings[] = new Sowing(Day::fromIso(self::TODAY)->plus($i), $members);
        }

        return HoldOrGo::of(Prospects::ofSowings($sowings), 0.8);
    }

    /** @return iterable<string, array{Closure(int): int, Pile, int|null, int|null}> harvests of ten by day, pile, days held, slack */
    public static function days(): iterable
    {
        yield 'good throughout' => [static fn (int $i): int => 9, Pile::Go, null, 60];
        yield 'at the standard exactly' => [static fn (int $i): int => 8, Pile::Go, null, 60];
        yield 'a tenth better is no reason to wait' => [static fn (int $i): int => $i < 5 ? 8 : 9, Pile::Go, null, 60];
        yield 'two tenths better within three weeks is' => [static fn (int $i): int => $i < 21 ? 8 : 10, Pile::Hold, 21, 60];
        yield 'later than three weeks is not' => [static fn (int $i): int => $i < 22 ? 8 : 10, Pile::Go, null, 60];
        yield 'falls on the tenth day' => [static fn (int $i): int => $i < 10 ? 9 : 7, Pile::LastChance, null, 9];
        yield 'falls on the eleventh' => [static fn (int $i): int => $i < 11 ? 9 : 7, Pile::Go, null, 10];
        yield 'a cold spell between is not the end of it' => [static fn (int $i): int => $i === 6 ? 0 : 9, Pile::Go, null, 60];
        yield 'reached on the tenth day' => [static fn (int $i): int => $i < 10 ? 3 : 8, Pile::HoldAWeek, 10, null];
        yield 'reached on the eleventh' => [static fn (int $i): int => $i < 11 ? 3 : 8, Pile::Hold, 11, null];
        yield 'reached on the sixtieth' => [static fn (int $i): int => $i < 60 ? 3 : 8, Pile::Hold, 60, null];
        yield 'reached too late' => [static fn (int $i): int => $i < 61 ? 3 : 8, Pile::Over, null, null];
        yield 'half of them, and never more' => [static fn (int $i): int => 5, Pile::FairChance, null, null];
        yield 'fewer than half' => [static fn (int $i): int => 4, Pile::Over, null, null];
        yield 'much better, and still below the standard' => [static fn (int $i): int => $i < 3 ? 5 : 7, Pile::FairChance, null, null];
    }

    /** @param  Closure(int): int  $harvests */
    #[DataProvider('days')]
    public function test_a_packet_goes_into_the_pile_of_its_day(Closure $harvests, Pile $pile, ?int $until, ?int $slack): void
    {
        $verdict = $this->verdict($harvests, 70);
        self::assertSame(
            [$pile, $until, $slack],
            [
                $verdict->pile,
                $verdict->until === null ? null : $verdict->until->number - Day::fromIso(self::TODAY)->number,
                $verdict->slack,
            ],
        );
    }

    /** Of fifty members: five more are a tenth better, which is not waited for; six more are. */
    public function test_a_day_is_worth_waiting_for_when_more_than_a_tenth_of_the_members_are_better_off(): void
    {
        $sowing = static fn (int $day, int $harvests): Sowing => new Sowing(
            Day::fromIso(self::TODAY)->plus($day),
            array_map(
                static fn (int $member): array => $member < $harvests
                    ? [Outcome::Harvest->code(), 60]
                    : [Outcome::FreezeYoung->code(), null],
                range(0, 49),
            ),
        );
        $pile = static fn (int $later): Pile => HoldOrGo::of(
            Prospects::ofSowings([$sowing(0, 41), ...array_map(static fn (int $day): Sowing => $sowing($day, $later), range(1, 60))]),
            0.8,
        )->pile;
        self::assertSame([Pile::Go, Pile::HoldAWeek], [$pile(46), $pile(47)]);
    }

    public function test_it_tells_what_waiting_costs_and_what_most_are_lost_to(): void
    {
        $verdict = $this->verdict(static fn (int $i): int => 8);
        // Waits of 60 … 67 days have their median at 63.5, rounded up; a week on they are three days shorter, and a week later.
        self::assertSame([64, 7 + 61], $verdict->waits);
        self::assertSame(Outcome::FreezeYoung, $verdict->reason, 'one of each: the one named first');
        self::assertNull($this->verdict(static fn (int $i): int => 10)->reason);
        self::assertSame([null, null], $this->verdict(static fn (int $i): int => 0)->waits);
    }

    public function test_prospects_tell_the_members_of_their_first_day(): void
    {
        $on = static fn (int $day, int $harvests, int $members): Sowing => new Sowing(
            Day::fromIso(self::TODAY)->plus($day),
            array_map(
                static fn (int $i): array => $i < $harvests ? [Outcome::Harvest->code(), 60] : [Outcome::Heat->code(), null],
                range(1, $members),
            ),
        );
        $told = static fn (Prospects $p): array => [$p->harvests(), $p->count(), $p->loss()];
        $prospects = Prospects::ofSowings([$on(0, 3, 4), $on(1, 6, 5)]);
        self::assertSame([2, 4, Outcome::Heat], $told($prospects));
        self::assertSame([5, 5, null], $told($prospects->after(1)));
        self::assertSame([0, 0, null], $told($prospects->after(2)));
    }

    public function test_what_is_known_of_fewer_days_is_judged_by_them(): void
    {
        self::assertSame(
            [Pile::Go, 29],
            [$this->verdict(static fn (int $i): int => 9, 30)->pile, $this->verdict(static fn (int $i): int => 9, 30)->slack],
        );
    }
}
