<?php

declare(strict_types=1);

namespace Anthesis\Tests\Verification;

use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Replay\SowDays;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use Anthesis\Verification\SeasonPromises;
use Anthesis\Verification\WindowPromises;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** Promises held against what came, as an independent program did, and on runs that are easy to judge. */
final class VerificationTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function cases(): iterable
    {
        foreach (['north', 'south'] as $station) {
            foreach (Fixtures::json("verification-{$station}.json") as $i => $case) {
                yield "{$station}: {$case['of']}, {$case['crop']}" => [$station, $i];
            }
        }
    }

    private static function rounded(?float $value): ?float
    {
        return $value === null ? null : round($value, 4);
    }

    #[Group('slow')]
    #[DataProvider('cases')]
    public function test_promises_are_kept_as_the_reference_says(string $station, int $i): void
    {
        $case = Fixtures::json("verification-{$station}.json")[$i];
        $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
        $route = Route::from($case['route']);
        $record = Fixtures::record("{$station}-rain");
        $latitude = Fixtures::latitude($station);
        $site = Site::openGround();
        if ($case['of'] === 'season') {
            $season = SeasonPromises::of($record, $latitude, $site, LightSchool::Radiation, $crop, $route);
            $found = [
                'cases' => $season->cases,
                'brier' => self::rounded($season->brier),
                'brier_of_record' => self::rounded($season->brierOfRecord),
                'skill' => self::rounded($season->skill),
            ];
        } else {
            $windows = WindowPromises::of((new Replay($record, $latitude, $site))->runs($crop, $route), 0.8);
            $found = [
                'runs' => $windows->runs,
                'harvests' => $windows->harvests,
                'promised' => self::rounded($windows->promised),
                'judged' => $windows->judged,
                'brier' => self::rounded($windows->brier),
                'skill' => self::rounded($windows->skill),
                'bins' => array_map(static fn (array $b): array => [$b[0], self::rounded($b[1]), $b[2]], $windows->bins),
            ];
        }
        self::assertEquals(array_intersect_key($case, $found), $found);
    }

    /** @param  callable(int, int): int  $code  of Outcome by year from 2001 on, and day of the year */
    private static function promises(int $years, callable $code): WindowPromises
    {
        $outcomes = $harvests = $mature = [];
        $first = Day::of(2001, 1, 1);
        for ($i = 0, $n = Day::of(2001 + $years, 1, 1)->number - $first->number; $i < $n; $i++) {
            $day = $first->plus($i);
            $outcomes[] = $code($day->year(), $day->yearDay()->number);
            $harvests[] = 10;
            $mature[] = $i + 30;
        }

        return WindowPromises::of(new Runs($first, SowDays::from($first, $n), $outcomes, $mature, $harvests, $mature, $mature), 0.8);
    }

    public function test_years_that_are_all_alike_keep_every_promise(): void
    {
        $kept = self::promises(5, static fn (int $year, int $day): int => $day >= 100 && $day < 200 ? 1 : 9);
        self::assertSame(5 * YearDay::YEAR, $kept->judged, '29 February is left out');
        // The mean of seven days reaches 0.8 from one day inside on.
        self::assertSame([5 * 96, 5 * 96], [$kept->runs, $kept->harvests]);
        self::assertGreaterThan(0.95, $kept->skill);
        self::assertSame($kept->judged, array_sum(array_column($kept->bins, 0)));
        self::assertSame(5 * 100, array_sum(array_column($kept->bins, 2)));
        self::assertLessThan(0.03, $kept->brier);
    }

    public function test_a_year_unlike_the_others_breaks_theirs(): void
    {
        $broken = self::promises(5, static fn (int $year, int $day): int => $year === 2003 ? 9 : 1);
        self::assertEqualsWithDelta(0.75, $broken->bins[3][1], 1e-9);
        self::assertEqualsWithDelta(1.0, $broken->bins[4][1], 1e-9);
        self::assertSame([YearDay::YEAR, 0], [$broken->runs, $broken->harvests], 'only the odd year has windows to be judged by');
        self::assertSame(1.0, $broken->promised);
        // Four years promised 0.75 and kept, one promised 1 and broken.
        self::assertEqualsWithDelta((4 * 0.0625 + 1) / 5, $broken->brier, 1e-9);
        self::assertEqualsWithDelta(0.0, $broken->skill, 1e-9, 'no better than the constant');
    }

    public function test_a_single_year_judges_nothing_and_a_constant_that_is_never_wrong_leaves_no_skill(): void
    {
        $one = self::promises(1, static fn (): int => 1);
        self::assertSame([0, null, null], [$one->judged, $one->brier, $one->promised]);
        $sure = self::promises(3, static fn (): int => 1);
        self::assertSame([3 * YearDay::YEAR, 0.0, null], [$sure->judged, $sure->brier, $sure->skill]);
        self::assertSame([0, null, 0], $sure->bins[0]);
    }

    public function test_the_promises_of_some_years_are_those_of_each_of_them(): void
    {
        $of = static fn (int $from, int $to): SeasonPromises => SeasonPromises::of(
            Fixtures::record('north'),
            Fixtures::latitude('north'),
            Site::openGround(),
            LightSchool::Radiation,
            Fixtures::crops()->find('radish') ?? self::fail('no radish'),
            Route::Direct,
            $from,
            $to,
        );
        [$one, $two, $both] = [$of(2004, 2004), $of(2005, 2005), $of(2004, 2005)];
        self::assertGreaterThan(6, $one->cases);
        self::assertSame($both->cases, $one->cases + $two->cases);
        self::assertEqualsWithDelta($both->brier * $both->cases, $one->brier * $one->cases + $two->brier * $two->cases, 1e-9);
    }
}
