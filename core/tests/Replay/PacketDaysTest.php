<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PacketDaysTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_days_left_are_those_of_the_reference(string $station): void
    {
        $told = 0;
        foreach (Fixtures::json("left-{$station}.json") as $case) {
            $replay = new Replay(Fixtures::record($station), Fixtures::latitude($station), Site::named($case['site']));
            $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
            foreach ($case['packet_days'] as $day => $days) {
                self::assertSame(
                    $days,
                    PacketDays::left(
                        $replay,
                        $crop,
                        Route::from($case['route']),
                        YearDay::fromNumber((int) $day),
                        (float) ($case['standard'] ?? 0.8),
                    ),
                    "{$case['crop']}, {$case['site']}, sow day {$day}",
                );
                $told += $days === null ? 0 : 1;
            }
        }
        self::assertGreaterThan(5, $told);
    }

    public function test_days_left_are_judged_by_the_years_that_are_asked_for(): void
    {
        // The first year is mild throughout; in every other a killing frost comes on July 1.
        $days = 5 * 365;
        $minimum = array_fill(0, $days, 11.0);
        for ($i = 546; $i < $days; $i += 365) {
            $minimum[$i] = -8.0;
        }
        $replay = new Replay(
            new DailyRecord(Day::of(2001, 1, 1), $minimum, array_fill(0, $days, 21.0)),
            Latitude::of(0.0),
            new Site('flat', 0, 0, 1, 0),
            LightSchool::None,
        );
        $crop = Fixtures::crops()->find('carrot') ?? self::fail('no carrot');
        $left = static fn (?int $from, ?int $to): ?int => PacketDays::left(
            $replay,
            $crop,
            Route::Direct,
            YearDay::of(4, 20),
            0.8,
            $from,
            $to,
        );
        self::assertSame(150, $left(2001, 2001));
        self::assertSame($left(2002, 2003), $left(null, null), 'one year of three is not four of five');
        self::assertLessThan(100, $left(2002, 2003));
    }

    public function test_a_week_counts_when_none_of_its_seven_days_is_held(): void
    {
        $replay = new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround());
        $spinach = Fixtures::crops()->find('spinach') ?? self::fail('no spinach');
        $best = static fn (int $first, int $last): float => max(
            iterator_to_array(
                PacketDays::shorter(
                    $replay,
                    $spinach,
                    Route::Direct,
                    array_map(static fn (int $day): bool => $day < $first || $day > $last, range(1, YearDay::YEAR)),
                ),
            ),
        );
        // The seventeenth week is that of April 23 to 29, days 113 to 119.
        self::assertGreaterThan(0.5, $best(113, 119));
        self::assertSame(0.0, $best(114, 119));
        self::assertSame(0.0, $best(113, 118));
    }

    /** The best week of the year for ever quicker varieties, from below the crop's own days down. */
    public function test_a_quicker_variety_never_does_worse_in_a_season_that_ends_with_frost(): void
    {
        $replay = new Replay(Fixtures::record('north'), Fixtures::latitude('north'), Site::openGround());
        $pumpkin = Fixtures::crops()->find('pumpkin') ?? self::fail('no pumpkin');
        $best = iterator_to_array(PacketDays::shorter($replay, $pumpkin, Route::Direct));
        self::assertSame(range(100, 55, -5), array_keys($best), 'a pumpkin of 104 days asks for 100 or fewer, and none is quicker than 52');
        self::assertSame(104.0, $pumpkin->growth->maturityDays);
        self::assertSame(
            range(95, 50, -5),
            array_keys(iterator_to_array(PacketDays::shorter($replay, $pumpkin->maturingIn(100), Route::Direct))),
            'half its days are quick enough',
        );
        $before = 0.0;
        foreach ($best as $days => $share) {
            self::assertGreaterThanOrEqual($before - 0.15, $share, "{$days} days");
            $before = $share;
            // No week does better than that: it is the best of the 52.
            self::assertLessThanOrEqual(1.0, $share);
        }
        $longest = array_key_first(array_filter($best, static fn (float $share): bool => $share >= 0.8));
        $weeks = array_map(
            static fn (int $day): ?int => PacketDays::left(
                $replay,
                $pumpkin->maturingIn(100),
                Route::Direct,
                YearDay::fromNumber($day),
                0.8,
            ),
            range(4, 361, 7),
        );
        self::assertSame($longest, min(100, max(array_filter($weeks))), 'what is left in the best week of the year');
    }
}
