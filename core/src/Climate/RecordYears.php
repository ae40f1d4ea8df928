<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Words\Phrase;

/** Which years of a record to use: all of them, the latest ones, or a period. Years are cold seasons. */
final class RecordYears
{
    /** The choices an educator has, in years, besides all of them. */
    public const LATEST = [30, 20, 15];

    /** The longest record that is used, in years. Older weather is of another age, and this bounds memory. */
    public const MOST = 150;

    private const DAYS_OF_A_YEAR = 365.25;

    /** @return DailyRecord its latest days; the whole record if it is no longer than that */
    public static function atMost(DailyRecord $record, int $years = self::MOST): DailyRecord
    {
        $days = (int) floor($years * self::DAYS_OF_A_YEAR);

        return $record->days() <= $days ? $record : $record->between($record->last()->plus(1 - $days), $record->last());
    }

    /** @return DailyRecord from the start of the first of the latest $years complete cold seasons; the whole record if it is shorter */
    public static function latest(DailyRecord $record, Latitude $latitude, int $years): DailyRecord
    {
        $seasons = FreezeStatistics::of($record, $latitude, FreezeThreshold::LightFreeze->celsius())->seasons;
        if (count($seasons) <= $years) {
            return $record;
        }

        return $record->between($latitude->coldSeason($seasons[count($seasons) - $years]->season)[0], $record->last());
    }

    /**
     * @return DailyRecord the days of the cold seasons from one year to another
     *
     * @throws RecordTooShort if the record has none of them
     */
    public static function period(DailyRecord $record, Latitude $latitude, int $from, int $to): DailyRecord
    {
        [$first, $last] = [$latitude->coldSeason($from)[0], $latitude->coldSeason($to)[1]];
        if ($last->isBefore($record->first) || $first->number > $record->last()->number) {
            throw new RecordTooShort(Phrase::of('error.no-day-between', ['from' => $first->iso(), 'to' => $last->iso()]));
        }

        return $record->between($first, $last);
    }
}
