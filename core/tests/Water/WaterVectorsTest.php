<?php

declare(strict_types=1);

namespace Anthesis\Tests\Water;

use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Watered;
use Anthesis\Water\Workable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The water of two records, and of sowings on them, as an independent program worked it out. */
final class WaterVectorsTest extends TestCase
{
    private const DIGITS = 5.1e-4;

    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_water_days_and_workable_ground_are_those_of_the_reference(string $station): void
    {
        $expected = Fixtures::json("water-{$station}.json");
        $latitude = Fixtures::latitude($station);
        $water = WaterDays::of(Fixtures::record("{$station}-rain"), $latitude);
        $at = static fn (string $date): int => \Anthesis\Record\Day::fromIso($date)->number - $water->first->number;
        foreach (
            ['et0' => $water->et0, 'reaching' => $water->reaching, 'pack' => $water->pack, 'soil' => $water->soil] as $what => $days
        ) {
            foreach ($expected[$what] as $date => $value) {
                self::assertEqualsWithDelta($value, $days[$at($date)], self::DIGITS, "{$what} on {$date}");
            }
        }
        foreach ($expected['grounds'] as $ground => $of) {
            $workable = Workable::of($water, Ground::named($ground));
            foreach ($of['dried'] as $date => $value) {
                self::assertEqualsWithDelta($value, $workable->dried[$at($date)], self::DIGITS, "{$ground} on {$date}");
                self::assertSame($of['workable'][$date], $workable->days[$at($date)], "{$ground} on {$date}");
            }
            self::assertSame($of['workable_days'], $workable->count());
            self::assertSame(
                $of['first_workable'],
                array_map(static fn (?YearDay $day): ?string => $day?->iso(), $workable->first($latitude)),
                $ground,
            );
        }
    }

    /** @return iterable<string, array{string, int}> */
    public static function sowings(): iterable
    {
        foreach (['north', 'south'] as $station) {
            foreach (Fixtures::json("irrigation-{$station}.json") as $i => $case) {
                yield "{$station}: {$case['crop']} on {$case['ground']}, {$case['sown']}" => [$station, $i];
            }
        }
    }

    #[DataProvider('sowings')]
    public function test_the_water_of_sowings_is_that_of_the_reference(string $station, int $i): void
    {
        $case = Fixtures::json("irrigation-{$station}.json")[$i];
        $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
        $route = Route::from($case['route']);
        $record = Fixtures::record("{$station}-rain");
        $latitude = Fixtures::latitude($station);
        $replay = new Replay($record, $latitude, Site::named($case['site'] ?? 'open ground'));
        $irrigation = new Irrigation(
            WaterDays::of($record, $latitude),
            Ground::named($case['ground']),
            $crop,
            $route,
            $replay->grown($crop),
        );
        $found = array_map(
            static fn (Watered $w): array => [
                $w->waterings,
                round($w->millimetres, 2),
                round($w->thirstiestWeek, 2),
                $w->sprinklings,
            ],
            $irrigation->of($replay->runs($crop, $route)->all(YearDay::fromIso($case['sown'])->number)),
        );
        self::assertEquals($case['years'], $found);
    }
}
