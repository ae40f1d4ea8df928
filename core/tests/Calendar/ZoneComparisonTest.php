<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\ClimateSheet;
use Anthesis\Calendar\YearRuler;
use Anthesis\Calendar\ZoneComparison;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use PHPUnit\Framework\TestCase;

final class ZoneComparisonTest extends TestCase
{
    /** @return array{ruler: array<string, mixed>, climate: array<string, mixed>} the northern station, so much colder or warmer */
    private function zone(float $shift, string $station = 'north'): array
    {
        $record = Fixtures::record($station);
        $by = static fn (?float $v): ?float => $v === null ? null : $v + $shift;
        $record = new DailyRecord($record->first, array_map($by, $record->minimum), array_map($by, $record->maximum));
        $place = PlaceEvidence::of($record, Latitude::of(Fixtures::STATIONS[$station]), Site::openGround());

        return [
            'ruler' => YearRuler::of($record, $place),
            'climate' => ClimateSheet::of($record, $place, ClimateSheet::soilTemperatures(Fixtures::crops()->crops), [
                Site::openGround(),
            ]),
        ];
    }

    public function test_zones_are_sorted_by_season_and_those_that_cannot_be_told_apart_are_named(): void
    {
        $rows = array_column(
            ZoneComparison::of([
                'floor' => $this->zone(0.0),
                'meadow' => $this->zone(-5.0),
                'near' => $this->zone(0.3),
                'coast' => $this->zone(0.0, 'south'),
            ]),
            null,
            'zone',
        );
        self::assertSame(['coast', 'near', 'floor', 'meadow'], array_keys($rows));
        self::assertSame(
            [['near'], ['floor'], [], []],
            [$rows['floor']['like'], $rows['near']['like'], $rows['meadow']['like'], $rows['coast']['like']],
        );
        self::assertSame(['04-29', 154, '6b'], [$rows['floor']['last'][0], $rows['floor']['free_days'], $rows['floor']['hardiness']]);
        self::assertGreaterThan($rows['floor']['soil_10'], $rows['meadow']['soil_10']);
        self::assertGreaterThan($rows['meadow']['hot_days'], $rows['floor']['hot_days']);
    }

    public function test_a_zone_without_freezes_has_the_longest_season(): void
    {
        $rows = ZoneComparison::of(['floor' => $this->zone(0.0), 'island' => $this->zone(9.0, 'south')]);
        self::assertSame(['island', null, null], [$rows[0]['zone'], $rows[0]['free_days'], $rows[0]['last'][0]]);
        self::assertSame([], $rows[0]['like']);
    }

    /**
     * @param  array{string, string, string}  $first  the average first freeze, its earliest and its latest
     * @return array{ruler: array<string, mixed>, climate: array<string, mixed>}
     */
    private function withFreezes(string $starts, array $first): array
    {
        $dates = static fn (array $d): array => [['date' => $d[0], 'earliest' => $d[1], 'latest' => $d[2]]];
        $last = $starts === '07-01' ? ['09-10', '09-01', '09-20'] : ['03-10', '03-01', '03-20'];

        return [
            'ruler' => [
                'starts' => $starts,
                'seasons' => 20,
                'freezes' => [1 => ['last' => $dates($last), 'first' => $dates($first), 'free_days' => [200]]],
            ],
            'climate' => ['sites' => [['soil_dates' => []]], 'heat' => [['days_a_year' => 0.0]], 'hardiness' => null],
        ];
    }

    public function test_dates_are_laid_out_from_the_cold_season_of_their_own_hemisphere(): void
    {
        // Around July 1 in the south, and around January 1 in the north, the dates run on.
        $like = static fn (array $zones): array => array_column(ZoneComparison::of($zones), 'like');
        self::assertSame(
            [['b'], ['a']],
            $like([
                'a' => $this->withFreezes('07-01', ['07-01', '06-20', '07-10']),
                'b' => $this->withFreezes('07-01', ['06-25', '06-22', '06-28']),
            ]),
        );
        self::assertSame(
            [['b'], ['a']],
            $like([
                'a' => $this->withFreezes('01-01', ['01-01', '12-20', '01-10']),
                'b' => $this->withFreezes('01-01', ['12-25', '12-22', '12-28']),
            ]),
        );
        self::assertSame(
            [[], []],
            $like([
                'a' => $this->withFreezes('01-01', ['11-01', '10-20', '11-10']),
                'b' => $this->withFreezes('01-01', ['11-20', '11-11', '11-28']),
            ]),
            'a day apart',
        );
        self::assertSame(
            [['b'], ['a']],
            $like([
                'a' => $this->withFreezes('01-01', ['11-01', '10-20', '11-11']),
                'b' => $this->withFreezes('01-01', ['11-20', '11-11', '11-28']),
            ]),
            'that touch',
        );
        self::assertSame(
            [[], []],
            $like([
                'a' => $this->withFreezes('01-01', ['11-01', '10-20', '11-11']),
                'b' => $this->withFreezes('07-01', ['11-01', '10-20', '11-11']),
            ]),
            'of two hemispheres',
        );
    }
}
