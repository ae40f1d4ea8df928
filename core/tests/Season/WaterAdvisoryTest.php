<?php

declare(strict_types=1);

namespace Anthesis\Tests\Season;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Season\AdvisoryGround;
use Anthesis\Season\WaterAdvisory;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class WaterAdvisoryTest extends TestCase
{
    private const LAST = '2012-07-14';

    /**
     * Twelve years of the same warm day, to July 14, 2012, or another last day.
     *
     * @param  callable(Day): (float|null)  $rain
     * @return array<string, AdvisoryGround> by key
     */
    private static function told(
        callable $rain,
        float $low = 14.0,
        float $high = 28.0,
        int $from = 2001,
        string $last = self::LAST,
        float $latitude = 45.0,
    ): array {
        $first = Day::of($from, 1, 1);
        $days = Day::fromIso($last)->number - $first->number + 1;
        $fallen = array_map(static fn (int $i): ?float => $rain($first->plus($i)), range(0, $days - 1));
        $record = new DailyRecord($first, array_fill(0, $days, $low), array_fill(0, $days, $high), $fallen);

        return array_column(WaterAdvisory::of($record, Latitude::of($latitude)), null, 'key');
    }

    /** @param  int  $dry  days to the last on which nothing fell in 2012 */
    private static function lately(int $dry, float $else = 2.0): callable
    {
        $since = Day::fromIso(self::LAST)->number - $dry;

        return static fn (Day $day): float => $day->number > $since ? 0.0 : $else;
    }

    public function test_the_driest_weeks_of_many_years_are_told_with_the_longest_span(): void
    {
        $three = self::told(self::lately(21))['dry'] ?? self::fail('three dry weeks');
        self::assertSame('advisory.draft.dry', $three->says->key);
        // Eight weeks of which the last three were dry are the driest, too: 35 days of two millimeters.
        self::assertSame([8, 12], [$three->says->with['weeks'], $three->says->with['years']]);
        self::assertSame(70.0, $three->says->with['rain']->with['rain']);
        self::assertSame(112.0, $three->evidence[0]->with['next']->with['rain']);
        self::assertSame(112.0, $three->evidence[1]->with['rain']->with['rain']);
        self::assertGreaterThan(112.0, $three->evidence[2]->with['taken']->with['rain']);
        self::assertSame('2012-07-21', $three->until->iso());
        // Held against the driest of the other years, and the usual one.
        $else = self::lately(21);
        $one = self::told(static fn (Day $day): float => $day->year() === 2005 ? 1.5 : $else($day))['dry'] ?? self::fail('three dry weeks');
        self::assertSame(
            [84.0, 112.0],
            [$one->evidence[0]->with['next']->with['rain'], $one->evidence[1]->with['rain']->with['rain']],
        );
        // What fell before was much: only the last weeks are the driest.
        $since = Day::fromIso(self::LAST)->number;
        $short = self::told(static fn (Day $day): float => match (true) {
            $day->number > $since - 28 => 0.0,
            $day->year() === 2012 => 9.0,
            default => 2.0,
        })['dry'] ?? self::fail('four dry weeks');
        self::assertSame(4, $short->says->with['weeks']);
        self::assertArrayNotHasKey('dry', self::told(static fn (): float => 2.0), 'no drier than any other');
    }

    public function test_the_last_day_of_february_is_held_against_the_28th_of_other_years(): void
    {
        // Much falls on every March 1, which none of the spans has.
        $last = Day::fromIso('2012-02-29');
        $rain = static fn (Day $day): float => match (true) {
            $day->number > $last->number - 21 => 0.0,
            str_ends_with($day->iso(), '-03-01') => 50.0,
            default => 2.0,
        };
        $told = self::told($rain, last: '2012-02-29', latitude: -45.0)['dry'] ?? self::fail('three dry weeks');
        self::assertSame([8, 12], [$told->says->with['weeks'], $told->says->with['years']]);
        self::assertSame(112.0, $told->evidence[1]->with['rain']->with['rain']);
    }

    public function test_a_dry_spell_is_no_news_in_the_cool_on_a_short_record_or_where_rain_is_not_known(): void
    {
        self::assertArrayNotHasKey('dry', self::told(self::lately(28), 1.0, 6.0), 'the air takes little');
        self::assertArrayNotHasKey('dry', self::told(self::lately(28), from: 2004), 'eight other years');
        self::assertArrayHasKey('dry', self::told(self::lately(28), from: 2003), 'nine');
        $since = Day::fromIso(self::LAST)->number;
        self::assertArrayNotHasKey('dry', self::told(static fn (Day $day): ?float => $day->number > $since - 60 ? null : 2.0));
        self::assertSame([], WaterAdvisory::of(Fixtures::record('north'), Fixtures::latitude('north')));
    }

    public function test_ground_that_is_usually_fit_and_too_wet_for_three_days_is_told(): void
    {
        $since = Day::fromIso(self::LAST)->number;
        $wet = static fn (int $days): callable => static fn (Day $day): float => $day->number > $since - $days ? 60.0 : 0.0;
        $told = self::told($wet(3))['wet'] ?? self::fail('three wet days');
        self::assertSame('advisory.draft.wet', $told->says->key);
        self::assertSame(180.0, $told->evidence[1]->with['rain']->with['rain']);
        self::assertGreaterThanOrEqual(8, $told->evidence[0]->with['of_ten']);
        self::assertSame('2012-07-21', $told->until->iso());
        $before = static fn (Day $day): float => $day->number <= $since - 13 && $day->number >= $since - 14 ? 1.0 : $wet(3)($day);
        $lately = self::told($before)['wet'] ?? self::fail('three wet days');
        self::assertSame(181.0, $lately->evidence[1]->with['rain']->with['rain'], 'of two weeks');
        self::assertArrayNotHasKey('wet', self::told($wet(2)), 'two days');
        self::assertArrayNotHasKey('wet', self::told(static fn (): float => 60.0), 'it is never fit here');
        self::assertArrayNotHasKey('wet', self::told($wet(3), -9.0, -2.0), 'it is frozen');
    }
}
