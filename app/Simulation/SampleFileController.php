<?php

declare(strict_types=1);

namespace App\Simulation;

use Anthesis\Record\Day;
use App\Zones\Zone;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A made-up station's file in °F, for people who try Anthesis before they have a file of their own. */
final class SampleFileController
{
    private const YEARS = 30;

    private const SEED = 20_261_129;

    /** Day of the year of the warmest mean, north and south of the equator. */
    private const PEAK = ['north' => 201, 'south' => 18];

    public function __invoke(Zone $zone): StreamedResponse
    {
        $peak = self::PEAK[$zone->latitude < 0 ? 'south' : 'north'];
        $climate = new SimulatedClimate(9.4, 11.5, $peak, [11.5, 2.0], [4.0, 0.7], 0.72, 0.0, self::SEED);
        $last = $zone->today()->plus(-1);
        [$year, $month, $day] = Day::civil($last->number);
        $station = new SimulatedStation($climate);

        return response()->streamDownload(
            static function () use ($station, $last, $year, $month, $day): void {
                echo self::inFahrenheit($station->file(Day::of($year - self::YEARS, $month, min($day, 28)), $last));
            },
            'sample-climate-file.csv',
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    /** Whole °F, as observers in the United States report them. */
    private static function inFahrenheit(string $celsius): string
    {
        $degrees = static fn (string $cell): string => $cell === '' ? '' : (string) (int) round(((float) $cell * 9) / 5 + 32);
        $text = "Date,Low °F,High °F\n";
        foreach (array_slice(explode("\n", trim($celsius)), 1) as $line) {
            [$date, $low, $high] = explode(',', $line);
            $text .= "{$date},{$degrees($low)},{$degrees($high)}\n";
        }

        return $text;
    }
}
