<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\MethodChange;
use Anthesis\Crop\Bolting;
use Anthesis\Crop\Crop;
use Anthesis\Crop\FruitSet;
use Anthesis\Crop\HeatLimit;
use Anthesis\Replay\MethodRule;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** @phpstan-import-type Change from MethodChange */
final class MethodChangeTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @return list<Change> */
    private function changes(string $slug, string $station = 'north', int $since = 1): array
    {
        $latitude = Fixtures::latitude($station);

        return MethodChange::of(
            $this->crop($slug),
            new Replay(Fixtures::record($station), $latitude, Site::openGround()),
            $latitude->yearStart(),
            0.8,
            $since,
        );
    }

    public function test_spinach_loses_the_long_days_and_the_frozen_ground(): void
    {
        [$change] = $this->changes('spinach');
        self::assertSame(['spinach', 'direct', 'sow-outdoors'], [$change['crop'], $change['route'], $change['act']]);
        self::assertContains('frozen-ground', $change['rules']);
        self::assertNotContains('planting-stock', $change['rules']);
        self::assertNotSame($change['before'], $change['now']);
    }

    public function test_garlic_waits_for_its_cloves(): void
    {
        [$change] = $this->changes('garlic-hardneck', 'south');
        self::assertContains('planting-stock', $change['rules']);
    }

    public function test_a_crop_that_no_rule_touches_is_not_in_it(): void
    {
        self::assertSame([], $this->changes('garlic-hardneck', 'south', 2));
    }

    public function test_what_waits_for_the_soil_is_told_from_what_snow_moves(): void
    {
        [$change] = $this->changes('cucumber', 'north', 2);
        self::assertSame(['soil-hold'], array_values(array_diff($change['rules'], ['printed'])));
        self::assertGreaterThan($change['before'][0]['first'], $change['now'][0]['first'], 'it opens later');
        [$change] = $this->changes('kale', 'north-rain', 2);
        self::assertSame([['snow'], '03-24', '03-27'], [$change['rules'], $change['before'][0]['first'], $change['now'][0]['first']]);
        self::assertSame([3, 2], [MethodRule::SoilHold->edition(), MethodRule::FrozenGround->edition()]);
        self::assertCount(6, MethodRule::since(2));
        self::assertSame([], MethodRule::since(3));
    }

    public function test_each_rule_can_be_left_out_of_a_crop_and_touches_nothing_else(): void
    {
        $garlic = $this->crop('garlic-hardneck');
        $without = array_map(static fn (MethodRule $rule): Crop => $rule->leftOutOf($garlic), MethodRule::cases());
        self::assertNull($without[0]->stock);
        self::assertEquals($garlic, $without[1], 'frozen ground is the replay’s affair');
        self::assertEquals($garlic, $without[0]->with(stock: $garlic->stock));
        self::assertNull($without[3]->bulb?->fromC);
        self::assertSame($garlic->bulb?->criticalDayHours, $without[3]->bulb?->criticalDayHours);
        self::assertFalse($without[4]->hardiness->bySoil);
        self::assertSame($garlic->hardiness->killC, $without[4]->hardiness->killC);
        $spinach = $this->crop('spinach');
        $first = MethodRule::LongDayBolting->leftOutOf($spinach);
        self::assertNull($first->bolting->dayHours);
        self::assertSame($spinach->bolting->chillDays, $first->bolting->chillDays);
        self::assertNotNull($spinach->bolting->dayHours);
        $all = $spinach->with(
            fruitSet: new FruitSet(10, null, null, 0.5),
            heat: new HeatLimit(30, 10, 0.5, 33),
            bolting: new Bolting(20, 14, 30, 12),
        );
        self::assertNull(MethodRule::FruitSet->leftOutOf($all)->fruitSet);
        self::assertEquals(new HeatLimit(30, 10, 0.5), MethodRule::YoungHeat->leftOutOf($all)->heat);
        self::assertEquals(new Bolting(20, 14, 30), MethodRule::SizeBeforeCold->leftOutOf($all)->bolting);
        self::assertEquals(new Bolting(20, null, 0, 12), MethodRule::LongDayBolting->leftOutOf($all)->bolting);
        self::assertEquals($all, MethodRule::SoilHold->leftOutOf($all));
    }
}
