<?php

declare(strict_types=1);

namespace Anthesis\Tests\Season;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Replay\Replay;
use Anthesis\Season\ThisSeason;
use Anthesis\Season\UnderWay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** A sowing followed on this season's members, with what was seen in the place of what was to be expected. */
final class UnderWayTest extends TestCase
{
    private static ?ThisSeason $season = null;

    private static function season(): ThisSeason
    {
        $record = Fixtures::record('north');

        return self::$season ??= ThisSeason::of(
            $record->between($record->first, Day::fromIso('2011-05-19')),
            null,
            Fixtures::latitude('north'),
            Site::openGround(),
        );
    }

    private static function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    private static function of(
        string $crop,
        string $on,
        Route $route = Route::Direct,
        bool $underCover = false,
        ?string $up = null,
        bool $thinned = false,
        bool $picked = false,
    ): UnderWay {
        return UnderWay::of(
            self::season(),
            self::crop($crop),
            $route,
            Day::fromIso($on),
            $underCover,
            $up === null ? null : Day::fromIso($up),
            $thinned,
            $picked,
        );
    }

    public function test_a_sowing_that_is_up_by_now_came_up_on_the_same_day_in_every_member_and_one_that_is_not_in_each_on_its_own(): void
    {
        $record = Fixtures::record('north');
        $seen = (new Replay($record, Fixtures::latitude('north'), Site::openGround()))->emergence(
            self::crop('radish'),
            Day::fromIso('2011-04-20'),
        );
        self::assertNotNull($seen);
        self::assertLessThan('2011-05-19', $seen->iso());
        $way = self::of('radish', '2011-04-20');
        self::assertSame(
            [$seen->iso(), $seen->iso(), $seen->iso()],
            array_map(static fn (Day $d): string => $d->iso(), $way->up ?? []),
        );
        self::assertSame($seen->plus(14)->iso(), $way->thin?->iso());
        self::assertSame(count(self::season()->members), $way->of);
        $today = self::of('carrot', '2011-05-19');
        self::assertNotNull($today->up);
        self::assertLessThan($today->up[2]->number, $today->up[0]->number);
        self::assertSame($today->up[1]->number + 14, $today->thin?->number);
        self::assertNull($today->setOut);
    }

    public function test_first_pickings_and_losses_are_those_of_the_seasons_members(): void
    {
        $sowing = self::season()->sowing(self::crop('radish'), Route::Direct, Day::fromIso('2011-05-10'));
        $way = self::of('radish', '2011-05-10');
        self::assertEquals($sowing->firstHarvests(), $way->firstPick);
        self::assertSame((int) round($sowing->share() * $sowing->count()), $way->harvests);
        self::assertEquals($sowing->loss(), $way->loss);
        $frozen = self::of('tomato-main', '2011-04-01', Route::Transplant);
        self::assertSame(
            [$frozen->of, 0, null],
            [$frozen->cold, $frozen->harvests, $frozen->firstPick],
            'transplanted on 1 April it was frozen, and that is past',
        );
        self::assertSame('freeze-young', $frozen->loss?->value);
        self::assertSame([null, null], [$frozen->up, $frozen->thin], 'nothing comes up of what is set out');
    }

    public function test_a_sowing_seen_up_goes_on_as_the_one_the_model_has_come_up_then(): void
    {
        $crop = self::crop('radish');
        $late = self::of('radish', '2011-04-20', up: '2011-05-16');
        $standIn = null;
        for ($day = Day::fromIso('2011-05-16'); $standIn === null; $day = $day->plus(-1)) {
            $standIn =
                (self::season()->emergence($crop, $day)?->number ?? PHP_INT_MAX) <= Day::fromIso('2011-05-16')->number
                    ? $day
                    : null;
        }
        self::assertEquals(self::season()->sowing($crop, Route::Direct, $standIn)->firstHarvests(), $late->firstPick);
        self::assertNull($late->up, 'it was seen');
        self::assertSame('2011-05-30', $late->thin?->iso());
        self::assertGreaterThan(
            self::of('radish', '2011-04-20')->firstPick[1]->number ?? 0,
            $late->firstPick[1]->number ?? 0,
            'what came up late is picked later',
        );
        self::assertNull(self::of('radish', '2011-04-20', up: '2011-05-01', thinned: true)->thin);
        $picked = self::of('radish', '2011-04-10', up: '2011-04-24', picked: true);
        self::assertSame([null, null], [$picked->firstPick, $picked->thin]);
    }

    public function test_what_nobody_has_seen_up_at_a_day_the_model_never_reaches_goes_on_as_it_was_sown(): void
    {
        // Up on the day it was sown, which no model has: no sowing of the ninety days before is later than that.
        $way = self::of('radish', '2011-01-05', up: '2011-01-05');
        self::assertEquals(
            self::season()->sowing(self::crop('radish'), Route::Direct, Day::fromIso('2011-01-05'))->firstHarvests(),
            $way->firstPick,
        );
    }

    public function test_what_stands_under_cover_is_set_out_after_its_weeks_there_or_today(): void
    {
        $crop = self::crop('tomato-main');
        $days = $crop->underCover->weeks?->days() ?? 0;
        $way = self::of('tomato-main', '2011-05-10', Route::Transplant, underCover: true);
        self::assertSame(Day::fromIso('2011-05-10')->plus($days)->iso(), $way->setOut?->iso());
        self::assertEquals(self::season()->sowing($crop, Route::Transplant, $way->setOut)->firstHarvests(), $way->firstPick);
        self::assertSame(
            '2011-05-20',
            self::of('tomato-main', '2011-01-10', Route::Transplant, underCover: true)->setOut?->iso(),
            'long past its weeks: today',
        );
        self::assertNull(self::of('tomato-main', '2011-05-15', Route::Transplant)->setOut);
    }

    public function test_garlic_is_not_thinned(): void
    {
        $way = self::of('garlic-hardneck', '2010-10-10');
        self::assertNull($way->thin);
    }
}
