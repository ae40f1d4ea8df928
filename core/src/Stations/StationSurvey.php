<?php

declare(strict_types=1);

namespace Anthesis\Stations;

/** What a station file contains: the record of one station, and which others there are to choose from. */
final readonly class StationSurvey
{
    /**
     * @param  DailyRecordReading|null  $reading  of the chosen station, otherwise of the first; null: the file has no such station, or no
     *   value
     * @param  list<StationExtent>  $stations  all stations of the file, in the order in which they start, if it names them
     */
    public function __construct(public ?DailyRecordReading $reading, public array $stations)
    {
    }
}
