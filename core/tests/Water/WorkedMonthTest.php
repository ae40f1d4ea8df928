<?php

declare(strict_types=1);

namespace Anthesis\Tests\Water;

use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Record\Day;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use Anthesis\Sun\Radiation;
use Anthesis\Tests\Fixtures;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;
use PHPUnit\Framework\TestCase;

/** docs/water-worked.md: each row by the arithmetic it tells, and the core against each row. */
final class WorkedMonthTest extends TestCase
{
    private const UP = '2000-06-16';

    /** @return list<array{day: Day, low: float, high: float, rain: float, ra: float, et0: float, grown: float, kc: float, use: float, roots: float, may: float, gone: float, watered: bool}> */
    private static function rows(): array
    {
        $rows = [];
        foreach (file(dirname(__DIR__, 3).'/docs/water-worked.md', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            $cells = array_map('trim', explode('|', $line));
            if (preg_match('/^\d{4}-\d\d-\d\d$/', $cells[1] ?? '') !== 1) {
                continue;
            }
            $numbers = array_map(floatval(...), array_slice($cells, 2, 11));
            $names = ['low', 'high', 'rain', 'ra', 'et0', 'grown', 'kc', 'use', 'roots', 'may', 'gone'];
            $rows[] = ['day' => Day::fromIso($cells[1])] + array_combine($names, $numbers) + ['watered' => $cells[13] === 'watered'];
        }

        return $rows;
    }

    public function test_each_row_follows_from_the_one_before_it(): void
    {
        $gone = 0.0;
        foreach (self::rows() as $row) {
            $day = $row['day']->iso();
            $mean = ($row['low'] + $row['high']) / 2;
            $et0 = 0.0023 * ($mean + 17.8) * sqrt($row['high'] - $row['low']) * 0.408 * $row['ra'];
            self::assertEqualsWithDelta($et0, $row['et0'], 0.006, "ET₀ of {$day}");
            $kc = $row['grown'] <= 0.25 ? 0.6 : min(1.05, 0.6 + (($row['grown'] - 0.25) / 0.35) * 0.45);
            self::assertEqualsWithDelta($kc, $row['kc'], 0.0012, "Kc of {$day}");
            self::assertEqualsWithDelta($row['kc'] * $row['et0'], $row['use'], 0.011, "use of {$day}");
            $roots = 10 + 50 * min(1.0, $row['grown'] / 0.6);
            self::assertEqualsWithDelta($roots, $row['roots'], 0.1, "roots of {$day}");
            self::assertEqualsWithDelta(0.45 * 130 * ($row['roots'] / 100), $row['may'], 0.08, "limit of {$day}");
            $gone = max(0.0, $gone - $row['rain'] + $row['use']);
            self::assertEqualsWithDelta($gone, $row['gone'], 0.05, "gone on {$day}");
            self::assertSame($row['gone'] >= $row['may'], $row['watered'], "watered on {$day}");
            $gone = $row['watered'] ? 0.0 : $row['gone'];
        }
    }

    public function test_the_core_comes_to_the_same(): void
    {
        $rows = self::rows();
        self::assertCount(31, $rows);
        $record = Fixtures::record('north-rain');
        $latitude = Fixtures::latitude('north');
        $crop = Fixtures::crops()->find('bush-bean') ?? self::fail('no bush bean');
        $growth = (new Replay($record, $latitude, Site::openGround()))->grown($crop);
        $water = WaterDays::of($record, $latitude);
        $irrigation = new Irrigation($water, Ground::named('loam'), $crop, Route::Direct, $growth);
        $radiation = Radiation::throughTheYear($latitude);
        $up = Day::fromIso(self::UP)->number - $record->first->number;
        $days = (new Maturity($crop))->growthDays(Route::Direct);
        $given = [];
        foreach ($rows as $row) {
            $i = $row['day']->number - $record->first->number;
            $grown = $growth[$i + 1] - $growth[$up + 1];
            $now = [$record->minimum[$i], $record->maximum[$i], $record->rain[$i] ?? null];
            self::assertSame(
                [$row['low'], $row['high'], $row['rain']],
                array_map(static fn (?float $v): float => round((float) $v, 1), $now),
            );
            self::assertEqualsWithDelta($row['ra'], $radiation[$row['day']->yearDay()->number - 1], 0.006);
            self::assertEqualsWithDelta($row['et0'], $water->et0[$i], 0.006);
            self::assertEqualsWithDelta($row['grown'], $grown / $days, 0.0006);
            [$used, $mayUse] = $irrigation->course($up, $i);
            self::assertEqualsWithDelta($row['kc'], end($used) / $water->et0[$i], 0.0006);
            self::assertEqualsWithDelta($row['may'], end($mayUse), 0.06);
            // Asked each morning, with the waterings so far, it is due on the evenings on which the table has it watered.
            $due = $irrigation->due($up, $given, $i, $i);
            self::assertSame($row['watered'] ? $i : null, $due->day, $row['day']->iso());
            if ($row['watered']) {
                self::assertEqualsWithDelta($row['gone'], $due->millimetres, 0.006);
                $given[$i] = null;
            }
        }
        self::assertCount(4, $given);
    }
}
