<?php

declare(strict_types=1);

namespace Anthesis\Tests\Record;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityDecision;
use Anthesis\Record\QualityRule;
use PHPUnit\Framework\TestCase;

final class QualityDecisionTest extends TestCase
{
    public function test_the_persons_word_stands_above_the_mark(): void
    {
        $day = static fn (int $d): Day => Day::of(2024, 5, $d);
        $record = new DailyRecord($day(1), [1.0, 2.0, 3.0], [11.0, 12.0, 13.0]);
        $marks = [new Mark($day(1), Element::Minimum, QualityRule::Spike), new Mark($day(2), Element::Maximum, QualityRule::Spike)];
        self::assertSame([[null, 2.0, 3.0], [11.0, null, 13.0]], self::values(QualityDecision::apply($record, $marks, [])));
        $decisions = [new QualityDecision($day(1), Element::Minimum, true), new QualityDecision($day(3), Element::Maximum, false)];
        self::assertSame([[1.0, 2.0, 3.0], [11.0, null, null]], self::values(QualityDecision::apply($record, $marks, $decisions)));
        self::assertSame([1.0, 2.0, 3.0], $record->minimum, 'the record as read stays as it is');
    }

    /** @return array{list<float|null>, list<float|null>} */
    private static function values(DailyRecord $record): array
    {
        return [$record->minimum, $record->maximum];
    }
}
