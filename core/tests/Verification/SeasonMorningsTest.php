<?php

declare(strict_types=1);

namespace Anthesis\Tests\Verification;

use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Verification\HoldOrGoRecord;
use Anthesis\Verification\SeasonMornings;
use Anthesis\Verification\SeasonPromises;
use PHPUnit\Framework\TestCase;

final class SeasonMorningsTest extends TestCase
{
    public function test_many_crops_at_once_come_to_what_each_comes_to_alone(): void
    {
        $known = KnownRecord::of(Fixtures::record('north'));
        $place = new Place($known, $known, Fixtures::latitude('north'), LightSchool::Radiation, [Site::openGround()], CropBook::none());
        $crops = array_map(
            static fn (string $slug) => Fixtures::crops()->find($slug) ?? self::fail("no {$slug}"),
            ['radish', 'kale', 'bush-bean'],
        );
        $told = SeasonMornings::ofYear($place, $crops, 2006);
        $judged = 0;
        foreach ($crops as $crop) {
            foreach ($crop->routes as $route) {
                $alone = SeasonPromises::of(
                    $place->years->days(),
                    $place->latitude,
                    $place->site(),
                    $place->light,
                    $crop,
                    $route,
                    2006,
                    2006,
                );
                $own = HoldOrGoRecord::of([[$crop->slug.' '.$route->value => $told["{$crop->slug} {$route->value}"] ?? []]], 0.8)['total'];
                self::assertSame($alone->cases, $own['cases'], $crop->slug);
                self::assertEqualsWithDelta($alone->brier, $own['brier'], 6e-5);
                self::assertEqualsWithDelta($alone->brierOfRecord, $own['brier_of_record'], 6e-5);
                self::assertEqualsWithDelta($alone->skill, $own['skill'], 6e-5);
                $judged += $own['cases'];
            }
        }
        self::assertGreaterThan(20, $judged);
        self::assertSame([], SeasonMornings::ofYear($place, $crops, 1950), 'not on record');
        self::assertSame(
            ['kale direct', 'kale transplant'],
            array_values(array_filter(array_keys($told), static fn (string $of): bool => str_starts_with($of, 'kale'))),
        );
    }

    public function test_decisions_are_counted_that_were_right(): void
    {
        $morning = static fn (int $month, float $share, float $own, int $came): array => compact('month', 'share', 'own', 'came');
        $told = HoldOrGoRecord::of([
            ['a direct' => [$morning(4, 0.8, 0.79, 1), $morning(5, 0.5, 0.9, 0)], 'b direct' => [$morning(4, 1.0, 1.0, 1)]],
            ['a direct' => [$morning(4, 0.79, 0.8, 1)], 'b direct' => [$morning(9, 0.0, 0.2, 0)]],
        ], 0.8);
        // Right by the season: gone and harvested, held and spared, gone and harvested, and held and spared; wrong: held and it came.
        self::assertSame([5, 4, 3], [$told['total']['cases'], $told['total']['right'], $told['total']['right_of_record']]);
        $brier = (0.04 + 0.25 + 0.0 + 0.0441 + 0.0) / 5;
        $record = (0.0441 + 0.81 + 0.0 + 0.04 + 0.04) / 5;
        self::assertEqualsWithDelta($brier, $told['total']['brier'], 5e-5);
        self::assertEqualsWithDelta($record, $told['total']['brier_of_record'], 5e-5);
        self::assertEqualsWithDelta(1 - $brier / $record, $told['total']['skill'], 5e-5);
        self::assertSame([4, 5, 9], array_column($told['months'], 'month'));
        self::assertSame([3, 1, 1], array_column($told['months'], 'cases'));
        self::assertSame(['b', 'a'], array_column($told['crops'], 'crop'), 'what won the most comes first');
        $none = HoldOrGoRecord::of([], 0.8);
        self::assertSame([0, null, null], [$none['total']['cases'], $none['total']['brier'], $none['total']['skill']]);
        $sure = HoldOrGoRecord::of([['a direct' => [$morning(4, 1.0, 1.0, 1)]]], 0.8);
        self::assertNull($sure['total']['skill'], 'the record was never wrong');
    }
}
