<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\SpareSeedlings;
use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Run;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

final class SpareSeedlingsTest extends TestCase
{
    private static ?Place $place = null;

    /** The same for all tests, as it keeps the replay of its record. */
    private static function place(): Place
    {
        $known = KnownRecord::of(Fixtures::record('north'));

        return self::$place ??= new Place(
            $known,
            $known,
            Fixtures::latitude('north'),
            LightSchool::Radiation,
            [Site::openGround()],
            CropBook::none(),
        );
    }

    private static function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no {$slug}");
    }

    /** @return list<Run> */
    private static function runs(Crop $crop, Route $route, YearDay $day): array
    {
        return Replay::ofPlace(self::place())->runs($crop, $route)->all($day->number);
    }

    #[Group('slow')]
    public function test_they_are_raised_beside_a_sowing_that_often_fails(): void
    {
        $kale = self::crop('kale');
        // The first spring day on which more than two years in ten fail and some come up.
        $seen = 0;
        for ($number = 60; $number < 110; $number++) {
            $day = YearDay::fromNumber($number);
            $runs = self::runs($kale, Route::Direct, $day);
            $failed = count(array_filter(
                $runs,
                static fn (Run $r): bool => in_array(
                    $r->outcome,
                    [Outcome::NoEmergenceCold, Outcome::NoEmergenceHot, Outcome::FreezeYoung, Outcome::HeatYoung],
                    true,
                ),
            ));
            $ups = array_map(
                static fn (Run $r): int => (int) $r->up?->number - $r->sown->number,
                array_filter($runs, static fn (Run $r): bool => $r->up !== null),
            );
            $told = SpareSeedlings::of(self::place(), $kale, $day);
            if ($ups === [] || 5 * $failed <= count($runs)) {
                self::assertNull($told, $day->iso());

                continue;
            }
            self::assertNotNull($told, $day->iso());
            $seen++;
            sort($ups);
            $ready = $day->plus((int) ceil(Quantile::of($ups, 0.9) ?? 0.0));
            self::assertSame([count($runs), $failed, $ready->iso()], [$told['years'], $told['failed'], $told['ready']]);
            self::assertSame($ready->plus(-($kale->underCover->weeks?->days() ?? 0))->iso(), $told['start']);
            self::assertEqualsWithDelta(110 / $kale->spacing->spacingCm, $told['per_metre'], 0.051);
            if ($told['until'] !== null) {
                $fair = static fn (YearDay $on): bool => ($all = self::runs($kale, Route::Transplant, $on)) !== [] &&
                    2 * count(array_filter($all, static fn (Run $r): bool => $r->outcome === Outcome::Harvest)) >= count($all);
                $until = YearDay::fromIso($told['until']);
                self::assertTrue($fair($ready) && $fair($until));
                self::assertFalse($fair($until->plus(1)));
            }
        }
        self::assertGreaterThan(3, $seen);
    }

    public function test_their_days_are_told_about_a_sowing_of_a_year(): void
    {
        $about = static fn (string $sown, string $start, string $ready, ?string $until): array => array_map(
            static fn (?Day $day): ?string => $day?->iso(),
            array_values(
                SpareSeedlings::about(
                    Day::fromIso($sown),
                    ['years' => 9, 'failed' => 4, 'start' => $start, 'ready' => $ready, 'until' => $until, 'per_metre' => 1.0],
                ),
            ),
        );
        self::assertSame(['2026-03-12', '2026-04-23', '2026-06-30'], $about('2026-04-01', '03-12', '04-23', '06-30'));
        self::assertSame(['2028-02-20', '2028-03-01', null], $about('2028-02-25', '02-20', '03-01', null), 'over a leap day');
        self::assertSame(['2026-11-20', '2027-01-02', '2027-02-01'], $about('2026-12-20', '11-20', '01-02', '02-01'), 'over new year');
        self::assertSame(['2026-12-20', '2027-01-02', '2027-01-02'], $about('2027-01-02', '12-20', '01-02', '01-02'), 'on the day itself');
    }

    public function test_there_are_none_for_what_seldom_fails_or_cannot_be_set_out(): void
    {
        self::assertNull(SpareSeedlings::of(self::place(), self::crop('radish'), YearDay::of(3, 25)), 'it is only sown');
        self::assertNull(SpareSeedlings::of(self::place(), self::crop('kale'), YearDay::of(6, 1)), 'it comes up');
        self::assertNull(SpareSeedlings::of(self::place(), self::crop('kale'), YearDay::of(1, 5)), 'nothing ever comes up');
    }
}
