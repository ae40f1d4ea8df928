<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Climate\RecordYears;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** However long a record is, computing from it takes a bounded amount of memory. */
final class MemoryTest extends TestCase
{
    #[Group('slow')]
    public function test_three_hundred_years_are_computed_within_128_mib(): void
    {
        exec(
            escapeshellarg(PHP_BINARY).
                ' -d pcov.enabled=0 -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d memory_limit=128M '.
                escapeshellarg(__DIR__.'/three-hundred-years.php').
                ' 2>&1',
            $lines,
            $status,
        );
        self::assertSame(0, $status, implode("\n", $lines));
        self::assertSame('54787 days, 6 crops', $lines[0]);
    }

    /** @return iterable<string, array{int, int, int}> days, most years, days that are left */
    public static function lengths(): iterable
    {
        yield 'a record that is short enough stays whole' => [3652, 10, 3652];
        yield 'one day more loses its first' => [3653, 10, 3652];
        yield 'thirty years of four' => [10958, 4, 1461];
    }

    #[DataProvider('lengths')]
    public function test_the_latest_years_of_a_record_that_is_too_long_are_used(int $days, int $years, int $left): void
    {
        $record = new DailyRecord(Day::of(1990, 1, 1), array_fill(0, $days, 1.0), array_fill(0, $days, 9.0));
        $used = RecordYears::atMost($record, $years);
        self::assertSame([$left, $record->last()->iso()], [$used->days(), $used->last()->iso()]);
    }
}
