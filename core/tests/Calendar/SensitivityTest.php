<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\Sensitivity;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\NumberBasis;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\School\FromReplay;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SensitivityTest extends TestCase
{
    private static function place(): Place
    {
        $known = KnownRecord::of(Fixtures::record('north'));

        return new Place($known, $known, Fixtures::latitude('north'), LightSchool::Radiation, [Site::openGround()], CropBook::none());
    }

    private static function cells(string $slug): array
    {
        return array_column(CropCsv::standardRows(), null, 'slug')[$slug] ?? self::fail("no {$slug}");
    }

    /** @return array<string, array> movers by name */
    private static function movers(string $slug, NumberBasis $basis, ?float $days = null): array
    {
        return array_column(
            Sensitivity::of(self::place(), self::cells($slug), $days, static fn (CropColumn $c): NumberBasis => $basis, Route::Direct, 0.8),
            null,
            'name',
        );
    }

    /** @return int days on which one crop's windows are open and another's are not, counted by hand */
    private static function apart(array $one, array $other, ?Site $site = null, ?Site $otherSite = null): int
    {
        $at = static fn (?Site $site): Place => self::place()->at($site ?? Site::openGround());
        [$a, $b] = [self::open($one, $at($site)), self::open($other, $at($otherSite ?? $site))];

        return count(array_diff($a, $b)) + count(array_diff($b, $a));
    }

    /** @return list<int> days on which its windows are open */
    private static function open(array $cells, Place $place): array
    {
        $open = [];
        foreach (FromReplay::ofPlace($place)->of(CropSchema::crop($cells), Route::Direct)->printed(0.8) as $window) {
            for ($i = 0; $i < $window->days; $i++) {
                $open[] = $window->first->plus($i)->number;
            }
        }

        return $open;
    }

    public function test_each_number_is_moved_by_as_much_as_it_may_be_wrong_and_the_days_counted(): void
    {
        $cells = self::cells('radish');
        $told = self::movers('radish', NumberBasis::Judgment);
        $days = (float) $cells['maturity_days'];
        $maturity = $told['maturity_days'];
        self::assertSame(['crop', 'judgment', 0.25, 'share'], [$maturity['of'], $maturity['basis'], $maturity['by'], $maturity['unit']]);
        self::assertSame(self::apart($cells, ['maturity_days' => (string) ($days * 0.75)] + $cells), $maturity['less']);
        self::assertSame(self::apart($cells, ['maturity_days' => (string) ($days * 1.25)] + $cells), $maturity['more']);
        $heat = array_filter($told, static fn (array $m): bool => $m['unit'] === 'celsius' && $m['of'] === 'crop');
        self::assertNotSame([], $heat);
        self::assertSame([2.0], array_values(array_unique(array_column($heat, 'by'))));
        foreach ($heat as $name => $mover) {
            $less = ['less' => -2.0, 'more' => 2.0];
            foreach ($less as $side => $by) {
                $changed = [$name => (string) ((float) $cells[$name] + $by)] + $cells;
                self::assertSame(self::apart($cells, $changed), $mover[$side], "{$name} {$side}");
            }
        }
        self::assertNull($told['emergence']['label'], 'by soil, as one');
        self::assertSame('column.maturity_days.label', $maturity['label']['key']);
        self::assertCount(0, array_filter(array_keys($told), static fn (string $n): bool => str_starts_with($n, 'em_')));
        self::assertArrayNotHasKey('spacing_cm', $told);
    }

    public function test_surer_numbers_are_moved_by_less_and_what_moves_most_comes_first(): void
    {
        $told = self::movers('radish', NumberBasis::Packet);
        self::assertSame(0.1, $told['maturity_days']['by']);
        self::assertLessThan(
            max(self::movers('radish', NumberBasis::Judgment)['maturity_days']['less'], 1),
            $told['maturity_days']['less'],
        );
        $most = array_map(static fn (array $m): int => max($m['less'], $m['more'] ?? 0), array_values($told));
        $sorted = $most;
        rsort($sorted);
        self::assertSame($sorted, $most);
        self::assertNotContains(0, $most, 'what moves nothing is left out');
        self::assertSame(0.15, self::movers('radish', NumberBasis::Table)['maturity_days']['by']);
    }

    public function test_the_site_and_the_years_in_use_are_moved_too(): void
    {
        $told = self::movers('bush-bean', NumberBasis::Table);
        self::assertSame(['site', null, 0.5, 'celsius'], [
            $told['air']['of'],
            $told['air']['basis'],
            $told['air']['by'],
            $told['air']['unit'],
        ]);
        $latest = array_filter($told, static fn (array $m): bool => $m['of'] === 'record');
        self::assertNotSame([], $latest);
        foreach ($latest as $mover) {
            self::assertSame(['years', null], [$mover['unit'], $mover['more']]);
            self::assertSame('latest-'.(int) $mover['by'], $mover['name']);
        }
    }

    /** @param  array<string, float>  $movers  numbers of the site that move its windows, and by how much they are moved */
    #[TestWith(['open ground', ['air' => 0.5, 'protection' => 0.5, 'sun' => 0.5]])]
    #[TestWith(['dark plastic mulch', ['air' => 0.5, 'protection' => 0.5, 'rate' => 0.1, 'sun' => 0.5]])]
    public function test_each_number_of_the_site_is_moved_alone(string $named, array $movers): void
    {
        $site = Site::named($named);
        $moved = static fn (string $name, float $by): Site => new Site(
            $site->name,
            ...array_map(
                static fn (string $number): float => $site->{$number} + ($number === $name ? $by : 0.0),
                ['air', 'sun', 'rate', 'protection'],
            ),
            ...[$site->depth, $site->diffusivity, $site->offset, $site->ground],
        );
        $cells = self::cells('bush-bean');
        $there = self::place()->at($site);
        $basis = static fn (CropColumn $c): NumberBasis => NumberBasis::Table;
        $told = array_column(Sensitivity::of($there, $cells, null, $basis, Route::Direct, 0.8), null, 'name');
        $ofSite = array_filter($told, static fn (array $m): bool => $m['of'] === 'site');
        $by = array_column($ofSite, 'by', 'name');
        ksort($by);
        self::assertSame($movers, $by);
        foreach ($ofSite as $name => $mover) {
            self::assertSame(self::apart($cells, $cells, $site, $moved($name, -$mover['by'])), $mover['less'], "{$name}, less");
            self::assertSame(self::apart($cells, $cells, $site, $moved($name, $mover['by'])), $mover['more'], "{$name}, more");
        }
    }

    public function test_another_station_in_the_first_place_is_told_by_its_name(): void
    {
        $place = self::place();
        $record = $place->years->days();
        $warmer = new DailyRecord(
            $record->first,
            array_map(static fn (?float $t): ?float => $t === null ? null : $t + 3.0, $record->minimum),
            array_map(static fn (?float $t): ?float => $t === null ? null : $t + 3.0, $record->maximum),
        );
        $told = array_column(
            Sensitivity::of(
                $place,
                self::cells('radish'),
                null,
                static fn (CropColumn $c): NumberBasis => NumberBasis::Table,
                Route::Direct,
                0.8,
                ['Hill' => $warmer, 'Its twin' => $record],
            ),
            null,
            'name',
        );
        $open = static function (DailyRecord $of): array {
            $days = [];
            $there = FromReplay::ofPlace(self::place()->overYears($of));
            foreach ($there->of(CropSchema::crop(self::cells('radish')), Route::Direct)->printed(0.8) as $window) {
                for ($i = 0; $i < $window->days; $i++) {
                    $days[] = $window->first->plus($i)->number;
                }
            }

            return $days;
        };
        [$here, $there] = [$open($record), $open($warmer)];
        self::assertSame(['record', 'station', null], [$told['Hill']['of'], $told['Hill']['unit'], $told['Hill']['more']]);
        self::assertSame(count(array_diff($here, $there)) + count(array_diff($there, $here)), $told['Hill']['less']);
        self::assertArrayNotHasKey('Its twin', $told, 'it moves nothing');
    }

    public function test_days_measured_here_are_moved_least(): void
    {
        $told = self::movers('radish', NumberBasis::Judgment, 35.0);
        self::assertSame(['measured', 0.05], [$told['maturity_days']['basis'] ?? null, $told['maturity_days']['by'] ?? null]);
        $cells = ['maturity_days' => '35'] + self::cells('radish');
        self::assertSame(self::apart($cells, ['maturity_days' => (string) (35 * 0.95)] + $cells), $told['maturity_days']['less']);
    }
}
