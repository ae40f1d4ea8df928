<?php

declare(strict_types=1);

namespace Anthesis\Tests\Soil;

use Anthesis\Soil\Site;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;

final class SiteTest extends TestCase
{
    /** Air and sun in °C, rate, night protection in °C: a changed number changes every date there. */
    private const PRESETS = [
        'open ground' => [0.0, 2.0, 1.0, 0.0],
        'raised bed' => [0.0, 2.8, 1.15, 0.0],
        'container' => [0.0, 3.2, 1.35, -0.5],
        'straw mulch' => [0.0, 0.5, 0.7, 0.0],
        'dark plastic mulch' => [0.0, 5.0, 1.0, 0.0],
        'cold pocket' => [-1.0, 2.0, 1.0, -1.5],
        'sun-facing wall' => [1.0, 3.5, 1.1, 1.0],
        'row cover' => [1.0, 2.5, 1.0, 1.5],
        'low tunnel' => [2.5, 3.5, 1.0, 2.5],
        'cold frame' => [3.5, 4.5, 1.1, 4.0],
        'shade cloth' => [-1.5, 0.3, 1.0, 0.5],
    ];

    public function test_the_presets_are_those_of_the_method_at_five_centimetres(): void
    {
        $presets = [];
        foreach (Site::presets() as $site) {
            $presets[$site->name] = [$site->air, $site->sun, $site->rate, $site->protection];
            self::assertSame([0.05, 0.6e-6, 0.0], [$site->depth, $site->diffusivity, $site->offset]);
        }
        self::assertSame(self::PRESETS, $presets);
    }

    public function test_a_wall_faces_the_sun_by_either_name(): void
    {
        foreach (['south wall', 'north wall', 'sun-facing wall'] as $name) {
            self::assertSame(
                [1.0, 3.5, 1.1, 1.0],
                [Site::named($name)->air, Site::named($name)->sun, Site::named($name)->rate, Site::named($name)->protection],
            );
        }
        $this->expectException(InvalidArgumentException::class);
        Site::named('moonlit wall');
    }
}
