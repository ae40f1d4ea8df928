<?php

declare(strict_types=1);

namespace Anthesis\Tests\Log;

use Anthesis\Crop\Caution;
use Anthesis\Log\LoggedAct;
use PHPUnit\Framework\Attributes\CoversClass;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

#[CoversClass(LoggedAct::class)]
final class LoggedActTest extends TestCase
{
    /** Comes up after ten days, and is thinned a fortnight later. */
    #[TestWith([LoggedAct::Up, 10])]
    #[TestWith([LoggedAct::Thinned, 24])]
    #[TestWith([LoggedAct::SetOut, 42])]
    #[TestWith([LoggedAct::FirstPicked, 60])]
    #[TestWith([LoggedAct::Sown, null])]
    #[TestWith([LoggedAct::Picked, null])]
    #[TestWith([LoggedAct::Lost, null])]
    #[TestWith([LoggedAct::Note, null])]
    public function test_acts_are_usually_told_so_many_days_after_a_sowing_began(LoggedAct $act, ?int $days): void
    {
        self::assertSame($days, $act->usualDay());
    }

    public function test_what_begins_a_sowing_follows_on_one_and_is_a_picking(): void
    {
        $of = static fn (callable $is): array => array_values(
            array_map(static fn (LoggedAct $a): string => $a->value, array_filter(LoggedAct::cases(), $is)),
        );
        self::assertSame(['sown', 'set-out'], $of(static fn (LoggedAct $a): bool => $a->begins()));
        self::assertSame(
            ['up', 'thinned', 'first-picked', 'picked', 'last-picked', 'lost'],
            $of(static fn (LoggedAct $a): bool => $a->follows()),
        );
        self::assertSame(['first-picked', 'picked', 'last-picked'], $of(static fn (LoggedAct $a): bool => $a->isPicking()));
        self::assertSame(['watered', 'gauge'], $of(static fn (LoggedAct $a): bool => $a->isOfBed()));
    }

    /** @param  list<string>  $acts */
    #[TestWith([Caution::TreatedSeed, ['sown']])]
    #[TestWith([Caution::SeedPotatoRules, ['sown', 'set-out']])]
    #[TestWith([Caution::AlliumRules, ['sown', 'set-out']])]
    #[TestWith([Caution::Invasive, ['sown', 'set-out']])]
    #[TestWith([Caution::BitterFruit, ['sown', 'first-picked', 'picked', 'last-picked']])]
    #[TestWith([Caution::ToxicSeeds, ['sown', 'first-picked', 'picked', 'last-picked']])]
    #[TestWith([Caution::BurnsSkin, ['set-out', 'thinned', 'first-picked', 'picked', 'last-picked']])]
    #[TestWith([Caution::RawBeans, ['first-picked', 'picked', 'last-picked']])]
    #[TestWith([Caution::GreenTubers, ['first-picked', 'picked', 'last-picked']])]
    #[TestWith([Caution::Favism, ['first-picked', 'picked', 'last-picked']])]
    public function test_a_caution_is_due_where_the_act_is(Caution $caution, array $acts): void
    {
        $due = array_filter(LoggedAct::cases(), static fn (LoggedAct $a): bool => $a->concerns($caution));
        self::assertSame($acts, array_column($due, 'value'));
    }
}
