<?php

declare(strict_types=1);

namespace Anthesis\Tests\Stations;

use Anthesis\Record\Day;
use Anthesis\Soil\ProbeLog;
use Anthesis\Soil\ProbeReading;
use Anthesis\Stations\ProbeCsv;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\TemperatureUnit;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use RuntimeException;

final class ProbeCsvTest extends TestCase
{
    private function read(string $text, ?TemperatureUnit $unit = null): ProbeLog
    {
        $stream = fopen('php://memory', 'w+') ?: throw new RuntimeException('No memory stream.');
        fwrite($stream, $text);
        rewind($stream);

        return ProbeCsv::read($stream, Day::of(2026, 5, 12), $unit);
    }

    /** @return list<array{string, float, float, float}> */
    private function rows(ProbeLog $log): array
    {
        return array_map(
            static fn (ProbeReading $r): array => [$r->day->iso(), round($r->hour, 2), $r->celsius, $r->depth],
            $log->readings,
        );
    }

    #[TestWith(["timestamp,depth_cm,temperature_c\n2026-04-12 06:30,5,7.4\n2026-04-12T15:00:00,10,9.1\n"])]
    #[
        TestWith([
            "\u{FEFF}Timestamp;Depth (m);Temp (°C)\n12.04.2026 06:30;0,05;7,4\n13.04.2026 15:00;0,1;\n12.04.2026 15:00;0,1;9,1\n",
        ]),
    ]
    #[TestWith(["2026-04-12 06:30\t5\t7.4\n2026-04-12 3:00 pm\t10\t9.1\n"])]
    #[TestWith(["date,hour,depth,soil\n2026-04-12,6.5,5,7.4\n\n2026-04-12,15:00,10,9.1\n"])]
    #[TestWith(["time,depth_cm,soil_temp_f\n2026-04-12 6:30 AM,5,45.32\n2026-04-12 15:00,10,48.38\n"])]
    public function test_loggers_and_hand_written_lists_say_the_same(string $text): void
    {
        self::assertSame([['2026-04-12', 6.5, 7.4, 0.05], ['2026-04-12', 15.0, 9.1, 0.1]], $this->rows($this->read($text)));
    }

    public function test_depths_are_counted_and_told_apart(): void
    {
        $log = $this->read("timestamp,depth_cm,temp\n2026-04-12 06:00,10,7\n2026-04-12 07:00,5,7\n2026-04-12 08:00,10,8\n");
        self::assertSame([['depth' => 0.1, 'readings' => 2], ['depth' => 0.05, 'readings' => 1]], $log->depths());
        self::assertCount(2, $log->atDepth(0.1));
        self::assertSame(
            0.05,
            $this->read("date,hour,temp\n2026-04-12,9,7\n")->readings[0]->depth,
            'five centimetres are meant where nothing is said',
        );
        self::assertSame(
            -17.78,
            $this->read("date,hour,temp\n2026-04-12,9,0\n", TemperatureUnit::Fahrenheit)->readings[0]->celsius,
        );
    }

    #[TestWith(['', 'The file is empty.'])]
    #[TestWith(["timestamp,depth_cm,temperature_c\n", 'There is no reading in this file.'])]
    #[TestWith(["date,temp\n2026-04-12,7\n", 'Line 2, column “time”: the hour of the reading is missing'])]
    #[TestWith(["timestamp,temp\n2026-04-12 09:00,7\n2026-06-01 09:00,7\n", 'Line 3, column “time”: 2026-06-01 is still to come.'])]
    #[TestWith(["timestamp,temp\n2026-04-12 09:00,warm\n", 'Line 2, column “temperature”: “warm” is not a temperature.'])]
    #[TestWith(["timestamp,temp\n2026-04-12 09:00,700\n", 'is no soil temperature'])]
    #[TestWith(["timestamp,depth_m,temp\n2026-04-12 09:00,5,7\n", 'Line 2, column “depth”: 5 m is no sowing depth'])]
    #[TestWith(["timestamp,moisture\n2026-04-12 09:00,7\n", 'there is no column for the temperature'])]
    #[TestWith(["timestamp,temp\n04/05/2026 09:00,7\n", 'could have the day or the month first'])]
    public function test_what_cannot_be_read_is_refused_with_its_place(string $text, string $why): void
    {
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage($why);
        $this->read($text);
    }
}
