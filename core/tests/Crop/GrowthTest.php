<?php

declare(strict_types=1);

namespace Anthesis\Tests\Crop;

use Anthesis\Crop\Crop;
use Anthesis\Crop\GrowthResponse;
use Anthesis\Crop\HeatLimit;
use Anthesis\Crop\LightSchool;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class GrowthTest extends TestCase
{
    private function radish(): Crop
    {
        // base 4, optimum 20 to 24, ceiling 32, packet days hold at 16 °C.
        return Fixtures::crops()->find('radish') ?? self::fail('no radish');
    }

    #[TestWith([4.0, 0.0])]
    #[TestWith([10.0, 0.5])]
    #[TestWith([16.0, 1.0])]
    #[TestWith([20.0, 16 / 12])]
    #[TestWith([24.0, 16 / 12])]
    #[TestWith([28.0, 8 / 12])]
    #[TestWith([32.0, 0.0])]
    #[TestWith([-10.0, 0.0])]
    public function test_growth_is_a_trapezoid_that_is_one_where_packet_days_hold(float $celsius, float $growth): void
    {
        self::assertEqualsWithDelta($growth, (new GrowthResponse($this->radish()))->at($celsius), 1e-12);
    }

    public function test_the_light_schools_differ_in_short_days_alone(): void
    {
        self::assertSame([0.5, 1.0], [LightSchool::Radiation->share(15.0, 9.0), LightSchool::Radiation->share(42.0, 16.0)]);
        self::assertSame(
            [0.0, 0.0, 1.0],
            [
                LightSchool::TenHour->share(20.0, 9.9),
                LightSchool::TenHour->share(20.0, 10.0),
                LightSchool::TenHour->share(20.0, 10.1),
            ],
        );
        self::assertSame(1.0, LightSchool::None->share(0.0, 0.0));
    }

    public function test_a_limit_without_heat_on_seedlings_is_told_as_before_there_was_one(): void
    {
        $limit = ['maximumC' => 32.0, 'days' => 5, 'fromShare' => 0.4];
        self::assertSame($limit, (new HeatLimit(32.0, 5, 0.4))->jsonSerialize());
        self::assertSame($limit + ['youngC' => 30.0], (new HeatLimit(32.0, 5, 0.4, 30.0))->jsonSerialize());
    }
}
