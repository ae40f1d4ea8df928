<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilTemperature;

/**
 * One year as it was, from midwinter on: minimum, maximum, and soil of each day, to be drawn over the normal ones.
 *
 * @phpstan-type Course array{year: int, minimum: list<float|null>, maximum: list<float|null>, soil: list<float|null>}
 */
final class YearCourse
{
    /**
     * @param  DailyRecord  $usable  after quality control
     * @param  int  $year  the calendar year in which the ruler's year starts
     * @return Course lists of length 365 by sow day (i+1), °C; null where nothing is on record
     */
    public static function of(DailyRecord $usable, Latitude $latitude, Site $site, int $year): array
    {
        $soil = SoilTemperature::of($usable, $latitude, $site)->dailyMean;
        $course = [
            'minimum' => array_fill(0, YearDay::YEAR, null),
            'maximum' => array_fill(0, YearDay::YEAR, null),
            'soil' => array_fill(0, YearDay::YEAR, null),
        ];
        [$month, $day] = $latitude->yearStart()->monthAndDay();
        $end = Day::numberOf($year + 1, $month, $day);
        for ($number = Day::numberOf($year, $month, $day); $number < $end; $number++) {
            $i = $number - $usable->first->number;
            $at = Day::yearDayOf($number) - 1;
            foreach (['minimum' => $usable->minimum, 'maximum' => $usable->maximum, 'soil' => $soil] as $what => $series) {
                if (isset($series[$i])) {
                    $course[$what][$at] = round($series[$i], 1);
                }
            }
        }

        return [
            'year' => $year,
            'minimum' => array_values($course['minimum']),
            'maximum' => array_values($course['maximum']),
            'soil' => array_values($course['soil']),
        ];
    }
}
