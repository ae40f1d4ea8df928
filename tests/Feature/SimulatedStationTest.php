<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Record\Day;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityControl;
use Anthesis\Record\QualityReport;
use Anthesis\Stations\StationFileReader;
use App\Simulation\SimulatedClimate;
use App\Simulation\SimulatedStation;
use PHPUnit\Framework\TestCase;

final class SimulatedStationTest extends TestCase
{
    private function file(int $seed = 7, float $trend = 0.0, string $last = '2025-12-31'): string
    {
        $climate = new SimulatedClimate(9.2, 11.9, 200, [12.6, 2.4], [4.2, 0.8], 0.72, $trend, $seed);

        return (new SimulatedStation($climate))->file(Day::of(1995, 1, 1), Day::fromIso($last));
    }

    private function report(string $file): QualityReport
    {
        $stream = fopen('php://memory', 'w+') ?: self::fail();
        fwrite($stream, $file);
        rewind($stream);
        $reading = (new StationFileReader())->read($stream);

        return (new QualityControl())->check($reading->asRead, $reading->marks);
    }

    public function test_the_same_seed_gives_the_same_weather_and_another_another(): void
    {
        self::assertSame(hash('sha256', $this->file()), hash('sha256', $this->file()));
        self::assertNotSame($this->file(), $this->file(8));
    }

    public function test_it_has_the_climate_it_was_given(): void
    {
        $usable = $this->report($this->file())->usable;
        $mean = static function (string $month) use ($usable): float {
            $values = [];
            foreach ($usable->minimum as $i => $low) {
                $high = $usable->maximum[$i];
                if ($low !== null && $high !== null && substr($usable->first->plus($i)->iso(), 5, 2) === $month) {
                    $values[] = ($low + $high) / 2;
                }
            }

            return array_sum($values) / count($values);
        };
        self::assertEqualsWithDelta(9.2 + 11.9, $mean('07'), 0.8);
        self::assertEqualsWithDelta(9.2 - 11.9, $mean('01'), 1.0);
    }

    public function test_it_has_the_faults_of_real_ones(): void
    {
        $report = $this->report($this->file());
        $days = array_unique(array_map(static fn (Mark $m): string => $m->day->iso(), $report->marks));
        self::assertCount(5, $days, 'five wrong readings');
        $gaps = array_filter(
            array_map(static fn ($g): int => $g->days, $report->usable->gaps()),
            static fn (int $d): bool => $d >= 8,
        );
        sort($gaps);
        self::assertSame([8, 40], $gaps);
        $missing = count(array_filter($report->usable->minimum, static fn (?float $v): bool => $v === null)) - 48;
        self::assertEqualsWithDelta(0.004 * $report->usable->days(), $missing, 25);
    }

    public function test_a_trend_warms_the_later_years(): void
    {
        $lastYears = static fn (QualityReport $r): float => array_sum(array_filter(array_slice($r->usable->maximum, -3650))) / 3650;
        self::assertEqualsWithDelta(
            0.25 * 2.6,
            $lastYears($this->report($this->file(7, 0.25))) - $lastYears($this->report($this->file())),
            0.06,
        );
    }
}
