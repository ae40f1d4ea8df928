<?php

declare(strict_types=1);

namespace Anthesis\Tests\Season;

use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Season\ThisSeason;
use Anthesis\Soil\Site;
use Anthesis\Tables\CropParameters;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SeasonVectorsTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_a_sowing_comes_in_every_member_to_what_the_reference_says(string $station): void
    {
        $cases = Fixtures::json("season-{$station}.json");
        self::assertCount(24, $cases);
        foreach ($cases as $case) {
            $end = Day::fromIso($case['record_ends']);
            $record = Fixtures::record($station);
            $record = $record->between($record->first, $end);
            $outlook =
                $case['outlook'] === []
                    ? null
                    : new DailyRecord(
                        $end->plus(1),
                        array_map(floatval(...), array_column($case['outlook'], 0)),
                        array_map(floatval(...), array_column($case['outlook'], 1)),
                    );
            $season = ThisSeason::of($record, $outlook, Fixtures::latitude($station), Site::named($case['site']));
            $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
            $found = [];
            foreach (
                $season->sowing($crop, Route::from($case['route']), Day::fromIso($case['sown']))->outcomes() as $year => [$outcome, $first]
            ) {
                $found[$year] = [$outcome->value, $first?->iso()];
            }
            self::assertSame($case['members'], $found, "{$case['crop']}, sown {$case['sown']}");
        }
    }
}
