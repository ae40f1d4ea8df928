<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Messages\Words;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Sun\DayLength;
use Anthesis\Sun\Radiation;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use PHPUnit\Framework\TestCase;

final class ClimateSheetTest extends TestCase
{
    /** @return array<string, mixed> */
    private function sheet(string $station): array
    {
        $record = Fixtures::record($station);

        return ClimateSheet::of(
            $record,
            PlaceEvidence::of($record, Fixtures::latitude($station), Site::openGround()),
            ClimateSheet::soilTemperatures(Fixtures::crops()->crops),
            Site::presets(),
        );
    }

    public function test_seasons_are_dated_with_their_year(): void
    {
        // North: season 2000 runs from July 15, 1999; offsets 77 and 292 at 2.2 °C. South: season 1999 from January 15; 91 and 271.
        $north = $this->sheet('north')['thresholds'][0]['seasons'][0];
        self::assertSame(
            ['season' => 2000, 'first' => '09-30', 'last' => '05-02', 'first_date' => '1999-09-30', 'last_date' => '2000-05-02'],
            $north,
        );
        $south = $this->sheet('south')['thresholds'][0]['seasons'][0];
        self::assertSame([1999, '1999-04-16', '1999-10-13'], [$south['season'], $south['first_date'], $south['last_date']]);
    }

    public function test_trend_hardiness_and_completeness_agree_with_the_reference(): void
    {
        $sheet = $this->sheet('north');
        $expected = Fixtures::json('freezes-north.json');
        self::assertSame(
            round($expected['thresholds'][1]['trend_of_last']['days_per_decade'], 1),
            $sheet['thresholds'][1]['trend']['days_per_decade'],
        );
        self::assertStringStartsWith(
            'No shift of the last freeze can be told apart from chance',
            Words::in('en')->phrase($sheet['thresholds'][1]['trend']['phrase']),
        );
        self::assertSame($expected['hardiness']['half_zone'], $sheet['hardiness']['half_zone']);
        self::assertCount(14, $sheet['completeness']);
        self::assertSame(31, $sheet['completeness'][1]['months'][0]);
        self::assertSame(20, $sheet['completeness'][4]['months'][1], 'eight days of February 2003 are missing');
    }

    public function test_light_is_that_of_the_latitude_of_each_hemisphere(): void
    {
        [$north, $south] = [$this->sheet('north'), $this->sheet('south')];
        [$june, $december] = [YearDay::of(6, 21)->number - 1, YearDay::of(12, 21)->number - 1];
        self::assertSame(round(DayLength::withTwilight(Fixtures::latitude('north'), YearDay::of(6, 21)), 2), $north['twilight'][$june]);
        self::assertGreaterThan($north['twilight'][$december], $north['twilight'][$june]);
        self::assertLessThan($south['twilight'][$december], $south['twilight'][$june]);
        self::assertSame(round(Radiation::onDay(Fixtures::latitude('south'), YearDay::of(12, 21)), 1), $south['radiation'][$december]);
        self::assertSame([365, 365], [count($south['twilight']), count($south['radiation'])]);
    }

    public function test_soil_dates_come_later_for_warmer_soil_and_for_more_certainty(): void
    {
        $dates = $this->sheet('north')['sites'][0]['soil_dates'];
        self::assertSame([3.0, 4.0, 5.0], array_slice(array_column($dates, 'celsius'), 0, 3));
        $reached = $sorted = array_column($dates, 'one_year_in_two');
        sort($sorted);
        self::assertSame($sorted, $reached);
        foreach ($dates as $date) {
            self::assertGreaterThanOrEqual($date['one_year_in_two'], $date['four_years_in_five']);
        }
    }

    public function test_a_place_with_few_freezes_has_no_trend_to_show(): void
    {
        $severe = $this->sheet('south')['thresholds'][3];
        self::assertNull($severe['trend']);
        self::assertNull($severe['seasons'][0]['last']);
    }
}
