<?php

declare(strict_types=1);

namespace Anthesis\Tests\Verification;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Verification\LoggedCase;
use Anthesis\Verification\LoggedPromises;
use Anthesis\Window\SowingWindow;
use PHPUnit\Framework\TestCase;

final class LoggedPromisesTest extends TestCase
{
    private static function case(string $on, ?string $picked = null, ?string $lost = null, ?array $windows = null): LoggedCase
    {
        $span = static fn (string $first, string $last): SowingWindow => new SowingWindow(
            YearDay::fromIso($first),
            YearDay::fromIso($last),
        );

        return new LoggedCase(
            Day::fromIso($on),
            $windows ?? [$span('04-10', '05-20'), $span('10-01', '11-10')],
            [$span('06-20', '07-31'), $span('04-15', '05-30')],
            $picked === null ? null : Day::fromIso($picked),
            $lost,
        );
    }

    public function test_sowings_are_counted_inside_and_outside_with_what_became_of_them(): void
    {
        $told = LoggedPromises::of([
            self::case('2024-04-10', '2024-06-20'),
            self::case('2024-05-20', null, 'frost'),
            self::case('2024-05-20', null, 'frost'),
            self::case('2024-05-21', null, 'heat'),
            self::case('2024-04-09'),
            self::case('2025-05-01'),
        ]);
        self::assertSame(['harvested' => 1, 'lost' => 2, 'open' => 1, 'causes' => ['frost' => 2]], $told['inside']);
        self::assertSame(['harvested' => 0, 'lost' => 1, 'open' => 1, 'causes' => ['heat' => 1]], $told['outside']);
        self::assertSame(['all' => 1, 'within' => 1, 'median_miss' => null], $told['picks']);
    }

    public function test_a_first_picking_is_held_against_the_harvest_its_window_promised(): void
    {
        $told = static fn (string ...$picked): array => LoggedPromises::of(
            array_map(static fn (string $p): LoggedCase => self::case('2024-04-20', $p), array_values($picked)),
        )['picks'];
        self::assertSame(['all' => 2, 'within' => 2, 'median_miss' => null], $told('2024-06-20', '2024-07-31'));
        self::assertSame(['all' => 1, 'within' => 0, 'median_miss' => 4.0], $told('2024-06-16'));
        self::assertSame(['all' => 1, 'within' => 0, 'median_miss' => 3.0], $told('2024-08-03'));
        self::assertSame(['all' => 4, 'within' => 1, 'median_miss' => 4.0], $told('2024-06-16', '2024-08-03', '2024-07-01', '2024-08-09'));
        self::assertSame(0, $told('2025-06-25')['within'], 'a year late is late');
        // What is sown in fall is promised the next spring; one outside every window is promised nothing.
        self::assertSame(
            ['all' => 2, 'within' => 1, 'median_miss' => 5.0],
            LoggedPromises::of([
                self::case('2024-10-05', '2025-05-01'),
                self::case('2024-10-05', '2025-06-04'),
                self::case('2024-08-01', '2024-09-15'),
            ])['picks'],
        );
        self::assertSame(
            ['all' => 0, 'within' => 0, 'median_miss' => null],
            LoggedPromises::of([self::case('2024-04-20', '2024-06-25', null, [])])['picks'],
        );
    }
}
