<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\GroundWait;
use Anthesis\Window\NoWindow;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\Reason;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\Remedies;
use Anthesis\Window\SoilHold;
use PHPUnit\Framework\TestCase;

final class GroundWaitTest extends TestCase
{
    private static function wait(): GroundWait
    {
        // Ten years: the first workable day is February 10 to February 18, and in one year there is none.
        $first = array_map(static fn (int $i): YearDay => YearDay::of(2, 10 + $i), range(0, 8));

        return GroundWait::of([...$first, null], YearDay::of(1, 1)) ?? self::fail('there are years');
    }

    /** @param  list<bool>  $days */
    private static function last(array $days): int
    {
        return (int) max(array_keys($days, true, true)) + 1;
    }

    public function test_it_waits_from_midwinter_to_the_first_workable_day_of_as_many_years_as_are_asked(): void
    {
        $half = self::wait()->days(0.5);
        // The middle of ten lies between the fifth and the sixth, February 14 and 15: the whole days before it wait.
        self::assertSame([true, true, false], [$half[0], $half[YearDay::of(2, 14)->number - 1], $half[YearDay::of(2, 15)->number - 1]]);
        self::assertFalse($half[364], 'autumn waits for nothing');
        self::assertSame(YearDay::of(2, 17)->number, self::last(self::wait()->days(0.8)));
        self::assertSame(182, self::last(self::wait()->days(0.95)), 'too few years have one: all of the half-year waits');
        self::assertNull(GroundWait::of([], YearDay::of(1, 1)));
        $south = GroundWait::of([YearDay::of(7, 11)], YearDay::of(7, 1)) ?? self::fail();
        self::assertSame(range(182, 191), array_map(static fn (int $i): int => $i + 1, array_keys($south->days(0.5), true, true)));
    }

    private static function place(bool $waits, ?Site $site = null, string $station = 'north-rain'): Place
    {
        $known = KnownRecord::of(Fixtures::record($station));

        return new Place(
            $known,
            $known,
            Fixtures::latitude('north'),
            LightSchool::Radiation,
            [$site ?? Site::openGround()],
            CropBook::none(),
            waitsForGround: $waits,
        );
    }

    public function test_only_a_place_that_asks_for_it_has_it_and_only_where_rain_falls_and_is_measured(): void
    {
        self::assertNotNull(GroundWait::ofPlace(self::place(true)));
        self::assertNull(GroundWait::ofPlace(self::place(false)));
        self::assertNull(GroundWait::ofPlace(self::place(true, station: 'north')));
        self::assertNull(GroundWait::ofPlace(self::place(true, Site::named('low tunnel'))), 'a tunnel keeps the rain off');
        self::assertNotNull(GroundWait::ofPlace(self::place(true, Site::named('row cover'))));
        $clay = new Site('clay', 0.0, 2.0, 1.0, 0.0, ground: 'clay');
        self::assertGreaterThan(
            self::last(GroundWait::ofPlace(self::place(true))?->days(0.5) ?? []),
            self::last(GroundWait::ofPlace(self::place(true, $clay))?->days(0.5) ?? []),
        );
        self::assertNotSame(self::place(true)->fingerprint(), self::place(false)->fingerprint());
    }

    public function test_what_is_too_cold_is_told_before_what_is_too_wet(): void
    {
        $place = self::place(false);
        $bean = Fixtures::crops()->find('bush-bean') ?? self::fail();
        $cold = SoilHold::of(Replay::ofPlace($place)->normalSoil(), $bean, Route::Direct);
        self::assertNotNull($cold);
        $warm = (int) array_search(false, $cold->days, true) + 1;
        $wet = array_map(static fn (int $day): bool => $day >= 10 && $day <= $warm + 9, range(1, 365));
        $both = SoilHold::orWet($cold, $wet) ?? self::fail();
        $day = YearDay::fromNumber(...);
        self::assertSame([true, true, false], [$both->holds($day(5)), $both->holds($day($warm + 9)), $both->holds($day($warm + 10))]);
        self::assertSame([Reason::SoilBelowMinimum, Reason::WetGround], [$both->reason($day(15)), $both->reason($day($warm))]);
        self::assertSame($cold->minimumC, $both->minimumC);
        self::assertSame($cold, SoilHold::orWet($cold, null));
        self::assertSame($cold, SoilHold::orWet($cold, array_fill(0, 365, false)));
        $only = SoilHold::orWet(null, $wet) ?? self::fail();
        self::assertSame([null, Reason::WetGround, false], [$only->minimumC, $only->reason($day(15)), $only->holds($day(9))]);
    }

    public function test_windows_open_no_earlier_than_the_ground_and_say_so(): void
    {
        $spinach = Fixtures::crops()->find('radish') ?? self::fail();
        $share = ProofStandard::Reliable->share();
        $open = FromReplay::ofPlace(self::place(false))->at($spinach, $share)[0];
        $wait = FromReplay::ofPlace(self::place(true))->at($spinach, $share)[0];
        $until = self::last(GroundWait::ofPlace(self::place(true))?->days($share) ?? []) + 1;
        self::assertGreaterThan($open->windows[0]->first->number, $until, 'or there is nothing to see');
        self::assertSame($until, $wait->windows[0]->first->number);
        self::assertEquals($open->windows[0]->last, $wait->windows[0]->last);
        $sources = array_map(static fn ($line): string => $line->source->key, $wait->derivation);
        self::assertContains('source.wet-before', $sources);
        $reasons = array_filter($wait->reasons, static fn ($span): bool => $span->reason === Reason::WetGround);
        self::assertCount(1, $reasons);
        self::assertSame($until - 1, array_values($reasons)[0]->last->number);
    }

    public function test_a_crop_that_only_a_wet_spring_would_have_finds_a_cover_that_keeps_the_rain_off(): void
    {
        $spinach = Fixtures::crops()->find('spinach') ?? self::fail();
        $place = self::place(false);
        // Ground that is never fit in its half-year, in any year.
        $never = GroundWait::of([null, null], $place->yearStart());
        $none = new NoWindow(YearDay::of(4, 1), 3, 3, Reason::WetGround);
        $found = (new Remedies())->of(
            $none,
            Replay::ofPlace($place),
            $spinach,
            Route::Direct,
            0.9,
            $place->yearStart(),
            true,
            $never,
        );
        self::assertSame(null, $found->longestDays, 'a quicker variety dries no ground');
        [$site] = array_keys($found->openedBy);
        $first = $found->openedBy[$site][0]->first->number;
        self::assertTrue($first > 182 || GroundWait::isKeptDry(Site::named($site)), "{$site} from day {$first}");
    }
}
