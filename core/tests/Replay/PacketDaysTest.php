<?php

declare(strict_types=1);

namespace Anthesis\Tests\Replay;

use Anthesis\Crop\Route;
use Anthesis\Exchange\CropParameters;
use Anthesis\Record\YearDay;
use Anthesis\Replay\PacketDays;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PacketDaysTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_days_left_are_those_of_the_reference(string $station): void
    {
        $told = 0;
        foreach (Fixtures::json("left-{$station}.json") as $case) {
            $replay = new Replay(Fixtures::record($station), Fixtures::latitude($station), Site::named($case['site']));
            $crop = CropParameters::fromJson((string) json_encode($case['parameters']));
            foreach ($case['packet_days'] as $day => $days) {
                self::assertSame($days, PacketDays::left($replay, $crop, Route::from($case['route']), YearDay::fromNumber((int) $day), (float) ($case['standard'] ?? 0.8)), "{$case['crop']}, {$case['site']}, sow day {$day}");
                $told += $days === null ? 0 : 1;
            }
        }
        self::assertGreaterThan(5, $told);
    }
}
