<?php

declare(strict_types=1);

namespace Anthesis\Tests\Log;

use Anthesis\Log\LoggedAct;
use Anthesis\Log\LoggedSowing;
use Anthesis\Log\OutOfOrder;
use Anthesis\Log\SowingFold;
use Anthesis\Log\StandingEntry;
use Anthesis\Messages\Words;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\CoversClass;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** sowing-fold.json is worked by hand; the phone's fold is held to the same file. */
#[CoversClass(SowingFold::class)]
#[CoversClass(LoggedSowing::class)]
final class SowingFoldTest extends TestCase
{
    /** @return iterable<string, array{list<array<string, mixed>>, array<string, mixed>|null}> */
    public static function vectors(): iterable
    {
        foreach (Fixtures::json('sowing-fold.json') as $vector) {
            yield $vector['name'] => [$vector['entries'], $vector['sowing']];
        }
    }

    /**
     * @param  list<array<string, mixed>>  $entries
     * @param  array<string, mixed>|null  $expected
     */
    #[DataProvider('vectors')]
    public function test_the_entries_of_a_sowing_come_to(array $entries, ?array $expected): void
    {
        $sowing = SowingFold::of(self::entries($entries));
        if ($expected === null) {
            self::assertNull($sowing);

            return;
        }
        self::assertEquals(
            $expected,
            $sowing === null
                ? null
                : [
                    'variety' => $sowing->variety,
                    'metres' => $sowing->metres,
                    'under_cover' => $sowing->underCover,
                    'days' => array_combine(
                        array_map(static fn (string $of): string => strtr($of, '-', '_'), array_keys($sowing->days)),
                        $sowing->days,
                    ),
                    'cause' => $sowing->cause,
                    'kilograms' => $sowing->kilograms,
                    'stems' => $sowing->stems,
                    'quality' => $sowing->quality,
                    'begun' => $sowing->begun,
                    'ended' => $sowing->ended(),
                ],
        );
    }

    public function test_it_has_the_crop_it_began_with_and_the_bed_and_plot_it_was_last_put_on(): void
    {
        $sowing = SowingFold::of([
            new StandingEntry(LoggedAct::Sown, '2026-03-01', ['under_cover' => true, 'plot' => 4], 7, 1),
            new StandingEntry(LoggedAct::SetOut, '2026-05-25', [], 8, 2),
            new StandingEntry(LoggedAct::Up, '2026-06-01', [], 7, 3),
        ]);
        self::assertSame([7, 2, 4], [$sowing?->cropId, $sowing?->bedId, $sowing?->plot]);
    }

    #[TestWith(['sown', 'set-out'])]
    #[TestWith(['sown', 'up'])]
    #[TestWith(['sown', 'first-picked'])]
    #[TestWith(['sown', 'lost'])]
    #[TestWith(['set-out', 'first-picked'])]
    #[TestWith(['set-out', 'lost'])]
    #[TestWith(['up', 'thinned'])]
    #[TestWith(['up', 'first-picked'])]
    public function test_what_comes_first_is_not_later(string $first, string $then): void
    {
        $entries = static fn (string $on): array => self::entries(
            array_values(
                array_filter([
                    $first === 'up' ? ['act' => 'sown', 'on' => '2026-04-01'] : null,
                    ['act' => $first, 'on' => '2026-04-10'],
                    ['act' => $then, 'on' => $on],
                ]),
            ),
        );
        self::assertNotNull(SowingFold::of($entries('2026-04-10')), 'on the same day it may');
        try {
            SowingFold::of($entries('2026-04-09'));
            self::fail('it was taken');
        } catch (OutOfOrder $error) {
            $words = Words::in('en')->phrase($error->why);
            self::assertStringContainsString('on 9 April 2026 is earlier than', $words);
            self::assertStringContainsString('on 10 April 2026. Check the day', $words);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $entries
     * @return list<StandingEntry> in the order of their days
     */
    private static function entries(array $entries): array
    {
        usort($entries, static fn (array $a, array $b): int => $a['on'] <=> $b['on']);

        return array_map(
            static fn (array $e): StandingEntry => new StandingEntry(
                LoggedAct::from($e['act']),
                $e['on'],
                array_diff_key($e, ['act' => true, 'on' => true]),
                1,
                null,
            ),
            $entries,
        );
    }
}
