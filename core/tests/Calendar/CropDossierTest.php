<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\SowingWater;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Crop\Variety;
use Anthesis\Messages\Words;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
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

/** @phpstan-import-type Dossier from CropDossier */
final class CropDossierTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @return Dossier */
    private function dossier(string $slug): array
    {
        $crop = $this->crop($slug);
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $place = PlaceEvidence::of($record, $latitude, Site::openGround());
        $replay = new Replay($record, $latitude, Site::openGround());

        return CropDossier::of($crop, Schools::on(new Grounds($place, $replay, CountBackSettings::conventional())));
    }

    private function own(): OwnDates
    {
        return new OwnDates(
            ['transplant' => [new SowingWindow(YearDay::of(1, 5), YearDay::of(1, 14))]],
            'The fair.',
            'Wren',
            Day::of(2026, 3, 1),
        );
    }

    public function test_a_sheet_tells_the_water_of_each_windows_best_day_where_rain_is_on_record(): void
    {
        $crop = $this->crop('radish');
        $of = static fn (KnownRecord $known): Place => new Place(
            $known,
            $known,
            Fixtures::latitude('north'),
            LightSchool::Radiation,
            [Site::openGround()],
            CropBook::of([$crop]),
        );
        $place = $of(KnownRecord::of(Fixtures::record('north-rain')));
        $schools = Schools::on(Grounds::ofPlace($place, CountBackSettings::conventional(), null));
        $plain = CropDossier::of($crop, $schools);
        $dossier = CropDossier::watered($plain, $place, $crop);
        $sheet = static fn (
            array $of,
            string $school = FromReplay::KEY,
        ): array => CropDossier::sheet($of, $school, ProofStandard::Reliable);
        [$evidence] = $sheet($dossier)['routes'][0]['evidence'];
        $all = SowingWater::of($place, $crop, Route::Direct, YearDay::fromIso($evidence['best'])) ?? self::fail('no water');
        self::assertSame(['sand', 'loam', 'clay'], array_column($evidence['water']['grounds'], 'ground'));
        $byGround = array_column($all['grounds'], null, 'ground');
        self::assertSame([$byGround['sand'], $byGround['loam'], $byGround['clay']], $evidence['water']['grounds']);
        self::assertSame([$all['years'], $all['enough']], [$evidence['water']['years'], $evidence['water']['enough']]);
        self::assertArrayNotHasKey('water', $sheet($plain)['routes'][0]['evidence'][0]);
        self::assertSame([], $sheet($dossier, CountBack::KEY)['routes'][0]['evidence']);
        $dry = $of(KnownRecord::of(Fixtures::record('north')));
        self::assertSame($plain, CropDossier::watered($plain, $dry, $crop), 'no rain on record, nothing more to tell');
    }

    public function test_the_sheet_follows_the_school_that_is_chosen(): void
    {
        $dossier = $this->dossier('broccoli');
        $replay = CropDossier::sheet($dossier, FromReplay::KEY, ProofStandard::Reliable);
        self::assertSame(
            ['replay', 'direct', 'transplant'],
            [$replay['school'], $replay['routes'][0]['route'], $replay['routes'][1]['route']],
        );
        self::assertSame('replay', $replay['routes'][0]['derivation'][0]['key']);
        $back = CropDossier::sheet($dossier, CountBack::KEY, ProofStandard::Reliable);
        self::assertSame(['count-back', 'last-freeze'], [$back['school'], $back['routes'][0]['derivation'][0]['key']]);
        self::assertSame($replay['name'], $back['name']);
        self::assertGreaterThanOrEqual(
            array_sum(array_column($replay['routes'][1]['windows'], 'days')),
            array_sum(array_column(CropDossier::sheet($dossier, FromReplay::KEY, ProofStandard::Bold)['routes'][1]['windows'], 'days')),
        );
    }

    public function test_own_dates_bring_their_start_under_cover_and_their_reason_and_leave_other_ways_to_the_record(): void
    {
        $sheet = CropDossier::ownSheet($this->dossier('broccoli'), $this->crop('broccoli'), $this->own(), ProofStandard::Reliable);
        $routes = array_column($sheet['routes'], null, 'route');
        self::assertNotSame([], $routes['direct']['windows']);
        self::assertSame('replay', $routes['direct']['derivation'][0]['key']);
        self::assertSame([['first' => '01-05', 'last' => '01-14', 'days' => 10]], $routes['transplant']['windows']);
        $weeks = Fixtures::crops()->find('broccoli')->underCover->weeks?->days() ?? 0;
        self::assertSame(
            YearDay::of(1, 5)
                ->plus(-$weeks)
                ->iso(),
            $routes['transplant']['under_cover'][0]['first'],
        );
        self::assertSame(
            ['Set by Wren: The fair.', 'by hand, 1 March 2026'],
            array_map(Words::in('en')->phrase(...), [
                $routes['transplant']['derivation'][0]['label'],
                $routes['transplant']['derivation'][0]['source'],
            ]),
        );
    }

    public function test_own_dates_are_harvested_when_the_record_says(): void
    {
        $dossier = $this->dossier('broccoli');
        $first = $dossier['schools']['replay']['reliable'][1];
        self::assertNotSame([], $first['windows']);
        $same = new OwnDates(
            [
                'transplant' => [
                    new SowingWindow(YearDay::fromIso($first['windows'][0]['first']), YearDay::fromIso($first['windows'][0]['last'])),
                ],
            ],
            'As replayed.',
            'Wren',
            Day::of(2026, 3, 1),
        );
        self::assertSame(
            [$first['harvests'][0]],
            CropDossier::ownSheet($dossier, $this->crop('broccoli'), $same, ProofStandard::Reliable)['routes'][1]['harvests'],
        );
        self::assertSame(
            [],
            CropDossier::ownSheet($dossier, $this->crop('broccoli'), $this->own(), ProofStandard::Reliable)['routes'][1]['harvests'],
            'transplanted in January it never came to one',
        );
    }

    public function test_dates_the_record_speaks_against_are_warned_of(): void
    {
        $dossier = $this->dossier('broccoli');
        self::assertSame(
            ['Transplant: on 10 of these 10 days, fewer than half of the years on record came to a harvest.'],
            array_map(Words::in('en')->phrase(...), CropDossier::disagreements($dossier, $this->own()->dates)),
        );
        $windows = CropDossier::sheet($dossier, FromReplay::KEY, ProofStandard::Reliable)['routes'][1]['windows'][0];
        $good = new OwnDates(
            ['transplant' => [new SowingWindow(YearDay::fromIso($windows['first']), YearDay::fromIso($windows['last']))]],
            'As replayed.',
            'Wren',
            Day::of(2026, 3, 1),
        );
        self::assertSame([], CropDossier::disagreements($dossier, $good->dates));
    }

    public function test_the_ribbon_accounts_for_every_year_of_every_day_and_holds_no_outcome_that_never_came(): void
    {
        $ribbon = $this->dossier('bush-bean')['record'][0]['ribbon'];
        self::assertArrayNotHasKey('day-length', $ribbon['outcomes']);
        foreach ([90, 140, 200] as $day) {
            self::assertContains(array_sum(array_map(static fn (array $counts): int => $counts[$day], $ribbon['outcomes'])), [13, 14]);
        }
        self::assertCount(365, $ribbon['reliability']);
        self::assertSame(Route::Direct->value, $this->dossier('bush-bean')['record'][0]['route']);
    }

    public function test_varieties_have_dates_of_their_own_by_every_school(): void
    {
        $crop = $this->crop('carrot');
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $schools = Schools::on(
            new Grounds(
                PlaceEvidence::of($record, $latitude, Site::openGround()),
                new Replay($record, $latitude, Site::openGround()),
                CountBackSettings::conventional(),
            ),
        );
        $quick = new Variety('Basin Quick', ['quick'], $crop->maturingIn(50));
        $dossier = CropDossier::of($crop, $schools, [$quick]);
        $sheet = CropDossier::sheet($dossier, FromReplay::KEY, ProofStandard::Reliable);
        [$variety] = $sheet['varieties'] ?? [];
        self::assertSame(['Basin Quick', 50.0, ['quick']], [$variety['name'], $variety['days'], $variety['tags']]);
        $alone = CropDossier::sheet(CropDossier::of($quick->crop, $schools), FromReplay::KEY, ProofStandard::Reliable)['routes'][0];
        self::assertSame(
            [$alone['windows'], $alone['harvests'], array_column($alone['evidence'], 'span')],
            [$variety['routes'][0]['windows'], $variety['routes'][0]['harvests'], $variety['routes'][0]['best']],
        );
        self::assertGreaterThan(
            array_sum(array_column($sheet['routes'][0]['windows'], 'days')),
            array_sum(array_column($variety['routes'][0]['windows'], 'days')),
            'a quicker one has longer',
        );
        $counted = CropDossier::sheet($dossier, CountBack::KEY, ProofStandard::Cautious)['varieties'][0]['routes'][0] ?? [];
        self::assertSame(
            CropDossier::sheet(CropDossier::of($quick->crop, $schools), CountBack::KEY, ProofStandard::Reliable)['routes'][0]['windows'],
            $counted['windows'] ?? null,
        );
        self::assertSame([], CropDossier::ownSheet($dossier, $crop, $this->own(), ProofStandard::Reliable)['varieties'] ?? null);
    }
}
