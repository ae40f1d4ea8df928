<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\StillFits;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Variety;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\CountBackSettings;
use Anthesis\Window\School\Grounds;
use Anthesis\Window\School\Schools;
use PHPUnit\Framework\TestCase;

final class StillFitsTest extends TestCase
{
    private static ?array $known = null;

    /** @return array{array<string, array>, CropBook} dossiers and book: radish with a slow variety, bush bean, broccoli, a cover crop */
    private static function known(): array
    {
        if (self::$known !== null) {
            return self::$known;
        }
        $crop = static fn (string $slug): Crop => Fixtures::crops()->find($slug) ?? self::fail("no {$slug}");
        $radish = $crop('radish');
        $slow = new Variety('Slow', [], $radish->maturingIn($radish->growth->maturityDays + 30));
        $crops = [$radish, $crop('bush-bean'), $crop('broccoli'), $crop('cover-buckwheat')];
        $book = CropBook::of($crops, ['radish' => [$slow]]);
        $known = KnownRecord::of(Fixtures::record('north'));
        $place = new Place($known, $known, Fixtures::latitude('north'), LightSchool::Radiation, [Site::openGround()], $book);
        $schools = Schools::on(Grounds::ofPlace($place, CountBackSettings::conventional(), null));
        $dossiers = [];
        foreach ($crops as $one) {
            $dossiers[$one->slug] = CropDossier::of($one, $schools, $book->varietiesOf($one->slug));
        }

        return self::$known = [$dossiers, $book];
    }

    private static function on(int $month, int $day): array
    {
        return StillFits::of(...self::known(), standard: ProofStandard::Reliable, on: YearDay::of($month, $day));
    }

    public function test_varieties_that_fit_the_day_are_told_by_their_days_the_quickest_first(): void
    {
        $fits = self::on(5, 1);
        $days = array_column($fits, 'days');
        $sorted = $days;
        sort($sorted);
        self::assertSame($sorted, $days);
        $named = array_column($fits, null, 'variety');
        $radish = Fixtures::crops()->find('radish') ?? self::fail();
        self::assertSame((int) $radish->growth->maturityDays, $fits[0]['days']);
        self::assertSame(['radish', null, 'direct', 'sow-outdoors', true], [
            $fits[0]['crop'],
            $fits[0]['variety'],
            $fits[0]['route'],
            $fits[0]['act'],
            $fits[0]['hardy'],
        ]);
        self::assertSame(10 * intdiv($fits[0]['days'], 10), $fits[0]['from']);
        self::assertSame($fits[0]['days'] + 30, $named['Slow']['days'] ?? null);
        self::assertNotContains('cover-buckwheat', array_column($fits, 'crop'), 'a cover crop is not harvested');
        // What is set out counts from then, and so is quicker than the same crop sown.
        $broccoli = array_column(array_filter($fits, static fn (array $f): bool => $f['crop'] === 'broccoli'), 'days', 'route');
        self::assertLessThan($broccoli['direct'] ?? 999, $broccoli['transplant']);
    }

    public function test_days_are_left_until_half_of_the_seasons_have_frozen(): void
    {
        // None by day 260, then one season more each day, all ten from day 270 to summer solstice of the next year.
        $hasCome = array_map(static fn (int $day): int => $day < 180 ? 10 : max(0, min(10, $day - 260)), range(1, 365));
        self::assertSame(65, StillFits::daysToFreeze($hasCome, 10, YearDay::fromNumber(200)));
        self::assertSame(165, StillFits::daysToFreeze($hasCome, 10, YearDay::fromNumber(100)), 'past winter’s freezes are over');
        self::assertSame(364, StillFits::daysToFreeze($hasCome, 10, YearDay::fromNumber(266)), 'it has come: the next one');
        self::assertNull(StillFits::daysToFreeze(array_fill(0, 365, 0), 10, YearDay::fromNumber(200)));
        self::assertNull(StillFits::daysToFreeze(array_fill(0, 365, 10), 10, YearDay::fromNumber(200)));
    }

    public function test_what_no_longer_comes_to_a_harvest_is_gone_and_a_fair_chance_says_so(): void
    {
        self::assertSame([], self::on(12, 20));
        $tender = array_column(self::on(6, 1), 'hardy', 'crop');
        self::assertSame([false, true], [$tender['bush-bean'], $tender['radish']]);
        [$dossiers] = self::known();
        $routes = CropDossier::routes($dossiers['radish'], 'replay', ProofStandard::Reliable);
        $windows = $routes[0]['windows'];
        $last = YearDay::fromIso(end($windows)['last']);
        $of = static fn (YearDay $day): ?array => array_values(array_filter(
            StillFits::of(...self::known(), standard: ProofStandard::Reliable, on: $day),
            static fn (array $f): bool => $f['crop'] === 'radish' && $f['variety'] === null,
        ))[0] ?? null;
        self::assertSame([$last->iso(), null], [$of($last)['last'] ?? null, $of($last)['of_ten'] ?? null]);
        $after = $of($last->plus(1));
        self::assertTrue($after === null || $after['last'] !== $last->iso(), 'the day after is another span, or none');
        // By cutting the windows away, a fair chance is all that is left.
        $fair = self::known();
        $fair[0]['radish']['schools']['replay']['reliable'][0]['windows'] = [];
        $fair[0]['radish']['schools']['replay']['reliable'][0]['chances'] = [
            ['first' => '05-01', 'last' => '05-10', 'days' => 10, 'of_ten' => 6],
        ];
        $chance = static fn (int $day): ?int => array_column(
            array_filter(
                StillFits::of(...$fair, standard: ProofStandard::Reliable, on: YearDay::of(5, $day)),
                static fn (array $f): bool => $f['variety'] === null,
            ),
            'of_ten',
            'crop',
        )['radish'] ?? null;
        self::assertSame([6, 6, null], [$chance(1), $chance(10), $chance(11)]);
    }
}
