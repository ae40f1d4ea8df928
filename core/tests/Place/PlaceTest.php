<?php

declare(strict_types=1);

namespace Anthesis\Tests\Place;

use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Variety;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Replay;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use LogicException;
use PHPUnit\Framework\Attributes\CoversClass;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

#[CoversClass(Place::class)]
#[CoversClass(KnownRecord::class)]
#[CoversClass(CropBook::class)]
final class PlaceTest extends TestCase
{
    /** @return iterable<string, array{callable(Place): Place}> a place that differs in one thing */
    public static function others(): iterable
    {
        $warmer = new DailyRecord(Day::of(2020, 1, 1), array_fill(0, 500, 3.0), array_fill(0, 500, 15.0));
        yield 'the years windows lean on' => [static fn (Place $p): Place => $p->overYears($warmer)];
        yield 'the record' => [
            static fn (Place $p): Place => new Place($p->years, KnownRecord::of($warmer), $p->latitude, $p->light, $p->sites, $p->book),
        ];
        yield 'the latitude' => [
            static fn (Place $p): Place => new Place($p->years, $p->whole, Latitude::of(-47.0), $p->light, $p->sites, $p->book),
        ];
        yield 'the light' => [
            static fn (Place $p): Place => new Place($p->years, $p->whole, $p->latitude, LightSchool::TenHour, $p->sites, $p->book),
        ];
        yield 'the site' => [static fn (Place $p): Place => $p->at(Site::named('raised bed'))];
        yield 'no other site beside it' => [static fn (Place $p): Place => $p->at($p->site())];
        yield 'the crops' => [static fn (Place $p): Place => $p->growing(CropBook::none())];
        yield 'a season' => [static fn (Place $p): Place => $p->inSeason(Day::of(2021, 5, 2), null)];
        yield 'no wait for soil' => [static fn (Place $p): Place => self::waiting($p, soil: false)];
        yield 'a wait for ground' => [static fn (Place $p): Place => self::waiting($p, ground: true)];
    }

    private static function waiting(Place $p, bool $soil = true, bool $ground = false): Place
    {
        return new Place(
            $p->years,
            $p->whole,
            $p->latitude,
            $p->light,
            $p->sites,
            $p->book,
            waitsForSoil: $soil,
            waitsForGround: $ground,
        );
    }

    public function test_windows_wait_for_soil_and_not_for_ground_unless_it_is_said(): void
    {
        self::assertSame(self::place()->fingerprint(), self::waiting(self::place())->fingerprint());
    }

    /** @param  callable(Place): Place  $other */
    #[DataProvider('others')]
    public function test_its_fingerprint_is_another_when_anything_is(callable $other): void
    {
        $place = self::place();
        self::assertNotSame($place->fingerprint(), $other($place)->fingerprint());
        self::assertSame(self::place()->fingerprint(), $place->fingerprint(), 'the same, made again');
    }

    public function test_the_day_and_the_outlook_of_a_season_are_part_of_the_fingerprint(): void
    {
        $place = self::place();
        $day = Day::of(2021, 5, 2);
        $outlook = new DailyRecord($day, [5.0, 6.0], [15.0, 16.0]);
        $fingerprints = array_map(static fn (Place $p): string => $p->fingerprint(), [
            $place,
            $place->inSeason($day, null),
            $place->inSeason($day->plus(1), null),
            $place->inSeason($day, $outlook),
            $place->inSeason($day, new DailyRecord($day, [5.0, 6.5], [15.0, 16.0])),
        ]);
        self::assertSame($fingerprints, array_values(array_unique($fingerprints)));
        self::assertSame($place->fingerprint(), $place->inSeason($day, $outlook)->withoutSeason()->fingerprint());
    }

    public function test_what_is_costly_is_made_once_for_all_places_it_is_the_same_for(): void
    {
        $place = self::place();
        $replay = Replay::ofPlace($place);
        self::assertSame($replay, Replay::ofPlace($place->growing(CropBook::none())));
        self::assertSame($replay, Replay::ofPlace($place->at($place->site())));
        self::assertNotSame($replay, Replay::ofPlace($place->at(Site::named('raised bed'))));
        self::assertNotSame(
            $replay,
            Replay::ofPlace($place->overYears($place->years->days()->between(Day::of(2020, 3, 1), Day::of(2021, 3, 1)))),
        );
    }

    public function test_the_season_knows_nothing_of_today_and_later(): void
    {
        $place = self::place()->inSeason(Day::of(2021, 3, 1), null);
        self::assertSame(
            ['2021-02-28', 1.0],
            [$place->known()->last()->iso(), $place->known()->minimum[$place->known()->days() - 1]],
            'yesterday is known',
        );
        self::assertSame('2021-03-01', ThisSeason::ofPlace($place)->today->iso());
    }

    public function test_a_season_has_its_day_and_its_outlook(): void
    {
        $outlook = new DailyRecord(Day::of(2021, 3, 1), [5.0], [15.0]);
        $place = self::place()->inSeason(Day::of(2021, 3, 1), $outlook);
        self::assertSame(
            [true, false, true, false],
            [
                $place->hasSeason(),
                self::place()->hasSeason(),
                $place->at(Site::named('raised bed'))->hasSeason(),
                $place->withoutSeason()->hasSeason(),
            ],
        );
        self::assertSame([$outlook, '2021-03-01'], [$place->growing(CropBook::none())->outlook(), $place->today()->iso()]);
        self::assertNull($place->inSeason(Day::of(2021, 3, 2), null)->outlook());
    }

    public function test_days_nobody_has_reported_yet_are_missing(): void
    {
        // The record ends on May 14, 2021.
        $known = self::place()->inSeason(Day::of(2021, 5, 18), null)->known();
        self::assertSame('2021-05-17', $known->last()->iso());
        self::assertSame([1.0, null, null, null], array_slice($known->minimum, -4));
        self::assertSame([11.0, null, null, null], array_slice($known->maximum, -4));
        self::assertSame('2021-05-14', self::place()->inSeason(Day::of(2021, 5, 15), null)->known()->last()->iso());
    }

    public function test_a_computation_that_narrowed_the_season_away_cannot_look_at_it(): void
    {
        $this->expectException(LogicException::class);
        self::place()->inSeason(Day::of(2021, 5, 2), null)->withoutSeason()->today();
    }

    public function test_a_record_is_read_when_it_is_needed_and_once(): void
    {
        $reads = 0;
        $days = self::record();
        $known = new KnownRecord($days->checksum(), $days->first, $days->last(), static function () use (&$reads, $days): DailyRecord {
            $reads++;

            return $days;
        });
        $place = new Place($known, $known, Latitude::of(47.0), LightSchool::Radiation, [Site::openGround()], CropBook::none());
        $place->fingerprint();
        self::assertSame(0, $reads);
        $place->years->days();
        $place->whole->days();
        self::assertSame(1, $reads);
    }

    public function test_a_book_of_one_crop_has_its_varieties_and_no_others(): void
    {
        [$radish, $leek] = self::crops();
        $book = CropBook::of(
            [$radish, $leek],
            ['radish' => [new Variety('Basin Red', ['quick'], $radish)], 'leek' => [new Variety('Harrow', [], $leek)]],
        );
        $only = $book->only($radish);
        self::assertSame([$radish], $only->crops());
        self::assertSame(['radish'], array_keys($only->varieties()));
        self::assertCount(1, $only->varietiesOf('radish'));
        self::assertSame([], $only->varietiesOf('leek'));
        self::assertNotSame($book->fingerprint(), $only->fingerprint());
        self::assertNotSame($only->fingerprint(), CropBook::of([$radish])->fingerprint(), 'its varieties count');
        self::assertSame(
            $only->fingerprint(),
            CropBook::from(static fn (): array => [[$radish], ['radish' => [new Variety('Basin Red', ['quick'], $radish)]]])->fingerprint(),
        );
    }

    private static function place(): Place
    {
        $record = self::record();

        return new Place(
            KnownRecord::of($record),
            KnownRecord::of($record),
            Latitude::of(47.0),
            LightSchool::Radiation,
            [Site::openGround(), Site::named('raised bed')],
            CropBook::of(self::crops()),
        );
    }

    private static function record(): DailyRecord
    {
        return new DailyRecord(Day::of(2020, 1, 1), array_fill(0, 500, 1.0), array_fill(0, 500, 11.0));
    }

    /** @return array{Crop, Crop} */
    private static function crops(): array
    {
        $crops = Fixtures::crops();

        return [$crops->find('radish') ?? self::fail(), $crops->find('leek') ?? self::fail()];
    }
}
