<?php

declare(strict_types=1);

namespace Anthesis\Tests\Record;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityRule;
use Anthesis\Record\RecordUpdate;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class RecordUpdateTest extends TestCase
{
    public function test_a_newer_file_adds_corrects_and_keeps(): void
    {
        $before = new DailyRecord(Day::of(2024, 2, 27), [1.0, 2.0, null, 4.0], [11.0, 12.0, 13.0, 14.0]);
        $file = new DailyRecord(Day::of(2024, 2, 28), [2.0, 3.0, null, 5.0], [12.5, 13.0, 14.0, 15.0]);
        $update = RecordUpdate::of($before, [], $file, []);
        self::assertSame('2024-02-27', $update->updated->first->iso());
        self::assertSame([1.0, 2.0, 3.0, 4.0, 5.0], $update->updated->minimum);
        self::assertSame([11.0, 12.5, 13.0, 14.0, 15.0], $update->updated->maximum);
        self::assertSame([3, 1, 3, 3], [$update->new, $update->changed, $update->unchanged, $update->kept]);
    }

    public function test_the_same_file_again_changes_nothing(): void
    {
        $record = Fixtures::record('north');
        $update = RecordUpdate::of($record, [], $record, []);
        self::assertSame($record->checksum(), $update->updated->checksum());
        self::assertSame([0, 0, 0], [$update->new, $update->changed, $update->kept]);
    }

    public function test_an_older_file_is_put_in_front_with_a_gap_between(): void
    {
        $later = new DailyRecord(Day::of(2024, 1, 10), [5.0], [9.0]);
        $update = RecordUpdate::of($later, [], new DailyRecord(Day::of(2024, 1, 7), [1.0], [2.0]), []);
        self::assertSame([1.0, null, null, 5.0], $update->updated->minimum);
        self::assertSame([2, 2], [$update->new, $update->kept]);
    }

    public function test_a_mark_falls_with_the_value_it_doubted(): void
    {
        $before = new DailyRecord(Day::of(2024, 1, 1), [1.0, 2.0], [9.0, 9.5]);
        $mark = static fn (int $day): Mark => new Mark(Day::of(2024, 1, $day), Element::Minimum, QualityRule::SourceFlag);
        $update = RecordUpdate::of($before, [$mark(1), $mark(2)], new DailyRecord(Day::of(2024, 1, 2), [2.5], [9.5]), []);
        self::assertSame(['2024-01-01'], array_map(static fn (Mark $m): string => $m->day->iso(), $update->marks));
    }

    public function test_the_same_record_in_whole_fahrenheit_is_the_same(): void
    {
        $record = Fixtures::record('north');
        $rounded = static fn (?float $c): ?float => $c === null ? null : round(((round(($c * 9) / 5 + 32) - 32) * 5) / 9, 2);
        $file = new DailyRecord($record->first, array_map($rounded, $record->minimum), array_map($rounded, $record->maximum));
        $update = RecordUpdate::of($record, [], $file, [], 0.1, 5 / 9);
        self::assertSame(0, $update->changed);
        self::assertSame($record->checksum(), $update->updated->checksum(), 'the finer values stand');
        $back = RecordUpdate::of($file, [], $record, [], 5 / 9, 0.1);
        self::assertSame([0, $record->checksum()], [$back->changed, $back->updated->checksum()], 'and come back with the finer file');
        self::assertGreaterThan(1000, RecordUpdate::of($record, [], $file, [])->changed, 'without knowing the steps it would alarm');
    }

    public function test_a_difference_beyond_the_rounding_is_a_change(): void
    {
        $of = static fn (float $minimum): DailyRecord => new DailyRecord(Day::of(2024, 1, 1), [$minimum], [9.0]);
        // 0.05 and 0.2778 °C, and half a hundredth: 0.3328.
        self::assertSame(
            [0, 1],
            array_map(static fn (float $m): int => RecordUpdate::of($of(0.0), [], $of($m), [], 0.1, 5 / 9)->changed, [0.33, 0.34]),
        );
        self::assertSame(1, RecordUpdate::of($of(0.0), [], $of(0.1), [], 0.1, 0.1)->changed, 'of the same step a step is a change');
    }
}
