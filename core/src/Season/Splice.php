<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Gap;
use Anthesis\Words\Phrase;

/**
 * Past years put to this season: each goes on from the record's end, or the outlook's, with the weather of its own days.
 *
 * docs/method.md, "This season".
 */
final class Splice
{
    /** Days of the record a member begins with: enough for the soil to forget where it started, and for a winter's cold. */
    public const BEFORE = 400;

    /** Days of a past year a member goes on with: the longest time to come up and a replay's horizon, and some weeks of sowing. */
    public const AFTER = 480;

    /**
     * @param  DailyRecord  $record  after quality control, up to this morning
     * @param  DailyRecord|null  $outlook  the days expected from then on; null: none
     * @return list<Member> in the order of their years; those whose days are all on record, without a gap too long to be bridged
     *
     * @throws OutlookRefused when the outlook does not go on where the record ends
     */
    public static function members(DailyRecord $record, ?DailyRecord $outlook): array
    {
        if ($outlook !== null && $outlook->first->number !== $record->last()->number + 1) {
            throw new OutlookRefused(
                Phrase::of('error.outlook-apart', ['first' => $outlook->first->iso(), 'last' => $record->last()->iso()]),
            );
        }
        $head = $record->between($record->last()->plus(1 - self::BEFORE), $record->last());

        return self::continued($record, self::followedBy($head, $outlook), null);
    }

    /**
     * The members of a day gone by, as they would have been that morning, of all years but one.
     *
     * @return list<Member> none where nothing is on record before the day
     */
    public static function onDay(DailyRecord $record, Day $day, int $without): array
    {
        return $day->number <= $record->first->number
            ? []
            : self::continued($record, $record->between($day->plus(-self::BEFORE), $day->plus(-1)), $without);
    }

    /**
     * @param  DailyRecord  $before  the days a member begins with
     * @param  int|null  $without  a year that is left out; null: none
     * @return list<Member>
     */
    private static function continued(DailyRecord $record, DailyRecord $before, ?int $without): array
    {
        [, $month, $day] = Day::civil($before->last()->number + 1);
        if ($month === 2 && $day === 29) {
            $day = 28;
        }
        $members = [];
        for ($year = $record->first->year(), $last = $record->last()->year(); $year <= $last; $year++) {
            $start = Day::of($year, $month, $day);
            $end = $start->plus(self::AFTER - 1);
            if ($year === $without || $start->isBefore($record->first) || $end->number > $record->last()->number) {
                continue;
            }
            $own = $record->between($start, $end);
            if (self::hasLongGap($own)) {
                continue;
            }
            $members[] = new Member($year, self::followedBy($before, $own));
        }

        return $members;
    }

    /** Days that go on with others; what the former measures and the latter does not is missing there. */
    private static function followedBy(DailyRecord $before, ?DailyRecord $after): DailyRecord
    {
        return $after === null
            ? $before
            : $before->map(
                static fn (array $values, Element $element): array => [
                    ...$values,
                    ...$after->of($element) ?? array_fill(0, $after->days(), null),
                ],
            );
    }

    private static function hasLongGap(DailyRecord $record): bool
    {
        foreach ($record->gaps() as $gap) {
            if ($gap->days > Gap::BRIDGED_DAYS) {
                return true;
            }
        }

        return false;
    }
}
