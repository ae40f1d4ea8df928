<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\WorkableSheet;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class WorkableSheetTest extends TestCase
{
    private static function place(DailyRecord $record, Latitude $latitude, Day $today, ?DailyRecord $outlook = null): Place
    {
        $known = KnownRecord::of($record);

        return (new Place($known, $known, $latitude, LightSchool::Radiation, [Site::openGround()], CropBook::none()))
            ->inSeason($today, $outlook);
    }

    /**
     * Ten years of the same mild day, dry but for the rain of the days given.
     *
     * @param  callable(Day): (float|null)  $rain
     */
    private static function mild(callable $rain): DailyRecord
    {
        $first = Day::of(2001, 1, 1);
        $days = Day::of(2010, 4, 30)->number - $first->number + 1;
        $fallen = array_map(static fn (int $i): ?float => $rain($first->plus($i)), range(0, $days - 1));

        return new DailyRecord($first, array_fill(0, $days, 8.0), array_fill(0, $days, 18.0), $fallen);
    }

    public function test_dry_ground_is_fit_today_and_wet_ground_when_it_has_dried(): void
    {
        $today = Day::of(2010, 5, 1);
        $dry = WorkableSheet::of(self::place(self::mild(static fn (): float => 0.0), Latitude::of(45.0), $today));
        self::assertNotNull($dry);
        self::assertSame(8, $dry['of']);
        self::assertSame(
            ['ground' => 'sand', 'today' => 8, 'fit' => true, 'half' => '2010-05-01', 'most' => '2010-05-01'],
            $dry['grounds'][0],
        );

        // A downpour the evening before, and no more rain in the years it goes on with.
        $wet = WorkableSheet::of(
            self::place(self::mild(static fn (Day $d): float => $d->iso() === '2010-04-30' ? 80.0 : 0.0), Latitude::of(45.0), $today),
        );
        self::assertNotNull($wet);
        [$sand, , $loam, , $clay] = $wet['grounds'];
        self::assertSame([0, false, 0], [$loam['today'], $loam['fit'], $clay['today']]);
        self::assertSame($loam['half'], $loam['most'], 'all years dry it alike');
        self::assertLessThan($clay['half'], $loam['half']);
        self::assertLessThanOrEqual($loam['half'], $sand['half']);
    }

    public function test_what_the_years_brought_after_today_spreads_the_dates(): void
    {
        // In every May but two it rains for ten days: half of the years wait, and nine in ten still longer.
        $record = self::mild(static fn (Day $d): float => match (true) {
            $d->iso() === '2010-04-30' => 80.0,
            $d->year() >= 2003 && str_contains($d->iso(), '-05-0') => 25.0,
            default => 0.0,
        });
        $told = WorkableSheet::of(self::place($record, Latitude::of(45.0), Day::of(2010, 5, 1)));
        self::assertNotNull($told);
        self::assertGreaterThan('2010-05-10', $told['grounds'][2]['half']);
        self::assertLessThan('2010-05-25', $told['grounds'][2]['most']);
    }

    public function test_ground_is_fit_where_more_than_half_of_the_years_say_so(): void
    {
        $fit = static function (int $wetUntil): array {
            $record = self::mild(static fn (Day $d): float => str_ends_with($d->iso(), '-05-01') && $d->year() <= $wetUntil ? 60.0 : 0.0);
            $clay = WorkableSheet::of(self::place($record, Latitude::of(45.0), Day::of(2010, 5, 1)))['grounds'][4] ?? [];

            return [$clay['today'] ?? null, $clay['fit'] ?? null];
        };
        self::assertSame([[5, true], [4, false]], [$fit(2003), $fit(2004)], 'of eight years');
    }

    public function test_an_outlook_of_rain_closes_ground_that_was_fit(): void
    {
        $record = self::mild(static fn (): float => 0.0);
        $today = Day::of(2010, 5, 1);
        $outlook = new DailyRecord($today, [8.0, 8.0], [18.0, 18.0], [60.0, 0.0]);
        $told = WorkableSheet::of(self::place($record, Latitude::of(45.0), $today, $outlook));
        self::assertSame(0, $told['grounds'][4]['today'] ?? null);
    }

    public function test_ground_that_is_never_fit_has_no_date(): void
    {
        $told = WorkableSheet::of(self::place(self::mild(static fn (): float => 30.0), Latitude::of(45.0), Day::of(2010, 5, 1)));
        self::assertSame([0, false, null, null], array_values(array_slice($told['grounds'][2] ?? [], 1)));
    }

    public function test_without_rain_on_record_of_late_nothing_is_told(): void
    {
        $today = Day::of(2010, 5, 1);
        self::assertNull(WorkableSheet::of(self::place(Fixtures::record('north'), Fixtures::latitude('north'), Day::of(2018, 5, 1))));
        // Six of the sixty days before may lack it; not seven.
        $lacking = static fn (int $days): DailyRecord => self::mild(
            static fn (Day $d): ?float => $d->number >= $today->number - $days ? null : 0.0,
        );
        self::assertNotNull(WorkableSheet::of(self::place($lacking(6), Latitude::of(45.0), $today)));
        self::assertNull(WorkableSheet::of(self::place($lacking(7), Latitude::of(45.0), $today)));
    }
}
