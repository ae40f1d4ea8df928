<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\MethodChange;
use Anthesis\Crop\Crop;
use Anthesis\Replay\MethodRule;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropCsv;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** @phpstan-import-type Change from MethodChange */
final class MethodChangeTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return CropCsv::standard()->find($slug) ?? self::fail("no crop {$slug}");
    }

    /** @return list<Change> */
    private function changes(string $slug, string $station = 'north'): array
    {
        $latitude = Fixtures::latitude($station);

        return MethodChange::of(
            $this->crop($slug),
            new Replay(Fixtures::record($station), $latitude, Site::openGround()),
            $latitude->yearStart(),
            0.8,
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
        self::assertSame([], $this->changes('tomato-main'));
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
    }
}
