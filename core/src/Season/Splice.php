<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Gap;
use Anthesis\Words\Phrase;

/**
 * Past years continued from this season: each goes on from the end of the record, or of the outlook, with the weather of its own days.
 *
 * docs/method.md, "This season".
 */
final class Splice
{
    /** Days of the record a member starts with: enough for the soil to forget where it started, and for a winter's cold. */
    public const BEFORE = 400;

    /** Days of a past year a member continues with: the longest time to emerge, a replay's horizon, and some weeks of sowing. */
    public const AFTER = 480;

    /**
     * @param  DailyRecord  $record  after quality control, up to this morning
     * @param  DailyRecord|null  $outlook  the days forecast from then on; null: none
     * @return list<Member> in the order of their years; those whose days are all on record, without a gap too long to bridge
     *
     * @throws OutlookRefused if the outlook does not start where the record ends
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
     * The members of a past day, as they would have been that morning, from all years but one.
     *
     * @return list<Member> empty if nothing is on record before the day
     */
    public static function onDay(DailyRecord $record, Day $day, int $without): array
    {
        return $day->number <= $record->first->number
            ? []
            : self::continued($record, $record->between($day->plus(-self::BEFORE), $day->plus(-1)), $without);
    }

    /**
     * @param  DailyRecord  $before  the days a member starts with
     * @param  int|null  $without  a year to leave out; null: none
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

    /** Days continued with others. What the first part measures and the second does not is missing there. */
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
