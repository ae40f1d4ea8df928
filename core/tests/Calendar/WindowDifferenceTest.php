<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\WindowDifference;
use Anthesis\Messages\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WindowDifferenceTest extends TestCase
{
    private const SPRING = ['first' => '04-10', 'last' => '05-20', 'days' => 41];

    private const AUTUMN = ['first' => '08-01', 'last' => '09-01', 'days' => 32];

    private const ALL_YEAR = ['first' => '07-14', 'last' => '07-13', 'days' => 365];

    /** @return iterable<string, array{list<array{first: string, last: string, days: int}>, list<array{first: string, last: string, days: int}>, array{opens: int, closes: int}|null, string}> */
    public static function pairs(): iterable
    {
        $earlier = ['first' => '03-22', 'last' => '05-21', 'days' => 61];
        yield 'the same' => [[self::SPRING], [self::SPRING], ['opens' => 0, 'closes' => 0], 'the same'];
        yield 'earlier and longer' => [
            [$earlier],
            [self::SPRING],
            ['opens' => -19, 'closes' => 1],
            '19 days earlier to open, 1 day longer at the end',
        ];
        yield 'later and shorter' => [
            [self::SPRING],
            [$earlier],
            ['opens' => 19, 'closes' => -1],
            '19 days later to open, 1 day shorter at the end',
        ];
        yield 'the first opens and the last closes' => [
            [self::SPRING, self::AUTUMN],
            [$earlier],
            ['opens' => 19, 'closes' => 103],
            '19 days later to open, 103 days longer at the end',
        ];
        yield 'over the turn of the year' => [
            [['first' => '12-28', 'last' => '02-01', 'days' => 36]],
            [['first' => '01-02', 'last' => '02-01', 'days' => 31]],
            ['opens' => -5, 'closes' => 0],
            '5 days earlier to open',
        ];
        $long = ['first' => '04-10', 'last' => '11-24', 'days' => 229];
        yield 'grown by more than half a year' => [[$long], [self::SPRING], null, 'open for 229 days, open ground for 41'];
        yield 'shrunk by more than half a year' => [[self::SPRING], [$long], null, 'open for 41 days, open ground for 229'];
        yield 'grown by half a year' => [
            [['first' => '04-10', 'last' => '11-18', 'days' => 223]],
            [self::SPRING],
            ['opens' => 0, 'closes' => 182],
            '182 days longer at the end',
        ];
        yield 'none' => [[], [self::SPRING], null, 'no window'];
        yield 'none against none' => [[], [], null, ''];
        yield 'none to be held against' => [[self::SPRING], [], null, 'a window where open ground has none'];
        yield 'all year' => [[self::ALL_YEAR], [self::SPRING], null, 'open all year'];
        yield 'all year and all year' => [[self::ALL_YEAR], [self::ALL_YEAR], null, 'the same'];
        yield 'held against all year' => [[self::SPRING, self::AUTUMN], [self::ALL_YEAR], null, 'closed for 292 days'];
    }

    /**
     * @param  list<array{first: string, last: string, days: int}>  $windows
     * @param  list<array{first: string, last: string, days: int}>  $others
     * @param  array{opens: int, closes: int}|null  $days
     */
    #[DataProvider('pairs')]
    public function test_windows_differ_by_when_the_first_opens_and_the_last_closes(
        array $windows,
        array $others,
        ?array $days,
        string $words,
    ): void {
        self::assertSame($days, WindowDifference::between($windows, $others));
        $phrase = WindowDifference::phrase($windows, $others, 'open ground');
        self::assertSame($words, $phrase === null ? '' : Words::in('en')->phrase($phrase));
    }
}
