<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Crop\Crop;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\OwnDates;
use Anthesis\Window\School\Schools;
use Anthesis\Window\SowingWindow;
use PHPUnit\Framework\TestCase;

/**
 * When gardeners are told to sow again: worked by hand for a crop that is ready after 30 days and picked for 10.
 *
 * @phpstan-import-type Dossier from CropDossier
 */
final class SownAgainTest extends TestCase
{
    /**
     * @param  list<array{string, string}>  $windows
     * @param  array<int, array{int, int}|null>  $but  by sow day
     * @return list<string> days to sow on
     */
    private function on(array $windows, array $but = []): array
    {
        return array_column($this->again($windows, $but), 'on');
    }

    /**
     * @param  list<array{string, string}>  $windows
     * @param  array<int, array{int, int}|null>  $but
     * @return list<array{on: string, first: string, last: string}>
     */
    private function again(array $windows, array $but = []): array
    {
        $usual = array_map(static fn (int $day): ?array => array_key_exists($day, $but) ? $but[$day] : [30, 10], range(1, YearDay::YEAR));

        return CropSheet::again(
            array_map(
                static fn (array $w): array => CropSheet::span(new SowingWindow(YearDay::fromIso($w[0]), YearDay::fromIso($w[1]))),
                $windows,
            ),
            $usual,
        );
    }

    public function test_each_sowing_is_picked_from_the_day_after_the_last_one_is_over(): void
    {
        self::assertSame(['on' => '04-01', 'first' => '05-01', 'last' => '05-10'], $this->again([['04-01', '05-31']])[0]);
        self::assertSame(['04-01', '04-11', '04-21', '05-01', '05-11', '05-21', '05-31'], $this->on([['04-01', '05-31']]));
        self::assertSame(
            ['04-01', '04-11', '04-21', '05-01', '05-11', '05-21', '05-30'],
            $this->on([['04-01', '05-30']]),
            'the last day is one of them',
        );
    }

    public function test_between_two_windows_nothing_is_sown(): void
    {
        self::assertSame(['04-01', '04-10', '08-01', '08-10'], $this->on([['04-01', '04-10'], ['08-01', '08-10']]));
        self::assertSame(
            ['09-20', '09-30', '03-01', '03-11'],
            $this->on([['09-20', '09-30'], ['03-01', '03-11']]),
            'in their order, over the turn of the year',
        );
        self::assertSame(['12-25', '01-04', '01-14'], $this->on([['12-25', '01-14']]));
    }

    public function test_a_day_that_never_came_to_a_harvest_is_not_sown_on(): void
    {
        $eleventh = YearDay::numberOf(4, 11);
        self::assertSame(['04-01', '04-10', '04-20'], $this->on([['04-01', '04-20']], [$eleventh => null]));
    }

    public function test_where_one_sowing_is_enough_nothing_is_told(): void
    {
        self::assertSame([], $this->again([]));
        self::assertSame(
            [],
            $this->again([['04-01', '04-03']]),
            'a second one would be picked for less than a third of its time after the first',
        );
        self::assertCount(2, $this->again([['04-01', '04-05']]));
    }

    public function test_a_window_of_the_whole_year_is_sown_in_for_a_year(): void
    {
        $again = $this->again([['01-01', '12-31']]);
        self::assertCount(38, $again);
        self::assertSame('12-31', $again[37]['on']);
    }

    public function test_a_sheet_tells_it_by_the_dates_it_shows(): void
    {
        $radish = $this->dossier('radish');
        $replay = CropDossier::sheet($radish, FromReplay::KEY, ProofStandard::Reliable)['routes'][0];
        self::assertSame($replay['windows'][0]['first'], $replay['again'][0]['on'] ?? null);
        self::assertGreaterThan(3, count($replay['again'] ?? []));
        $back = CropDossier::sheet($radish, CountBack::KEY, ProofStandard::Reliable)['routes'][0];
        self::assertNotSame($replay['again'] ?? [], $back['again'] ?? []);
        $own = new OwnDates(
            ['direct' => [new SowingWindow(YearDay::of(5, 1), YearDay::of(5, 20))]],
            'The fair.',
            'Wren',
            Day::of(2026, 3, 1),
        );
        $days = array_column(
            CropDossier::ownSheet($radish, $this->crop('radish'), $own, ProofStandard::Reliable)['routes'][0]['again'] ?? [],
            'on',
        );
        self::assertSame('05-01', $days[0]);
        self::assertLessThanOrEqual('05-20', max($days));
        foreach (CropDossier::sheet($this->dossier('tomato-main'), FromReplay::KEY, ProofStandard::Reliable)['routes'] as $route) {
            self::assertSame([], $route['again'] ?? null, 'a crop that is sown once');
        }
    }

    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @return Dossier */
    private function dossier(string $slug): array
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');

        return CropDossier::of(
            $this->crop($slug),
            Schools::on(
                new Grounds(
                    PlaceEvidence::of($record, $latitude, Site::openGround()),
                    new Replay($record, $latitude, Site::openGround()),
                    CountBackSettings::conventional(),
                ),
            ),
        );
    }
}
