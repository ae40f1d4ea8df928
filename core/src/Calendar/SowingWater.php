<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Run;
use Anthesis\Soil\Ground;
use Anthesis\Water\Irrigation;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Watered;

/**
 * The water that plantings of a crop on one day of the year had to be given, on each kind of ground, and whether the rule of an inch a week
 * would have been enough.
 *
 * A plain document, ready for JSON: `years` that came to harvest with their rain on record; by ground (none if no year did) the 10, 50, and
 * 90% of the `waterings`, of the `mm` in all of them, of the mm used in the thirstiest `week`, and of the `sprinklings` until it is up;
 * `enough`: years whose thirstiest week used no more than an inch; `litres_per_m`: of row, at the median of the mm.
 *
 * @phpstan-type Spread array{float, float, float}
 * @phpstan-type GroundWater array{ground: string, waterings: Spread, mm: Spread, week: Spread, sprinklings: Spread, litres_per_m: float}
 * @phpstan-type Water array{years: int, enough: int, row_cm: float, grounds: list<GroundWater>}
 */
final class SowingWater
{
    /** mm per week by the rule that gardeners water by. */
    private const INCH = 25.4;

    private const LOW = 0.1;

    private const MIDDLE = 0.5;

    private const HIGH = 0.9;

    private const CM_PER_M = 100;

    /** Kinds of ground that gardeners are shown. */
    private const TOLD = ['sand', 'loam', 'clay'];

    /**
     * @param  Place  $place  at the site it is grown at
     * @return Water|null null without rain on record
     */
    public static function of(Place $place, Crop $crop, Route $route, YearDay $sown): ?array
    {
        return self::onDays($place, $crop, $route, [$sown->iso()], Ground::names())[$sown->iso()] ?? null;
    }

    /**
     * The same for several days, on the kinds of ground that gardeners are shown.
     *
     * @param  list<string>  $days  MM-DD
     * @param  list<string>  $grounds
     * @return array<string, Water> by day; empty without rain on record
     */
    public static function onDays(Place $place, Crop $crop, Route $route, array $days, array $grounds = self::TOLD): array
    {
        $record = $place->years->days();
        if ($record->rain === null || $days === []) {
            return [];
        }
        $replay = Replay::ofPlace($place);
        $runs = $replay->runs($crop, $route);
        $water = $place->once(WaterDays::class, static fn (): WaterDays => WaterDays::of($record, $place->latitude));
        $growth = $replay->grown($crop);
        $irrigations = array_map(
            static fn (string $name): Irrigation => new Irrigation($water, Ground::named($name), $crop, $route, $growth),
            array_combine($grounds, $grounds),
        );
        $told = [];
        foreach ($days as $day) {
            $told[$day] = self::onDay($runs->all(YearDay::fromIso($day)->number, Outcome::Harvest), $irrigations, $crop);
        }

        return $told;
    }

    /**
     * @param  list<Run>  $runs
     * @param  array<string, Irrigation>  $irrigations  by ground
     * @return Water
     */
    private static function onDay(array $runs, array $irrigations, Crop $crop): array
    {
        $watered = $grounds = [];
        foreach ($irrigations as $name => $irrigation) {
            $watered = array_values($irrigation->of($runs));
            if ($watered !== []) {
                $grounds[] = self::ground($name, $watered, $crop->spacing->rowCm / self::CM_PER_M);
            }
        }

        return [
            'years' => count($watered),
            // What a crop uses is the same on every ground.
            'enough' => count(array_filter($watered, static fn (Watered $w): bool => $w->thirstiestWeek <= self::INCH)),
            'row_cm' => $crop->spacing->rowCm,
            'grounds' => $grounds,
        ];
    }

    /**
     * @param  non-empty-list<Watered>  $watered
     * @return GroundWater
     */
    private static function ground(string $name, array $watered, float $rowSpacing): array
    {
        return [
            'ground' => $name,
            'waterings' => self::spread(array_map(static fn (Watered $w): int => $w->waterings, $watered)),
            'mm' => $mm = self::spread(array_map(static fn (Watered $w): float => $w->millimetres, $watered)),
            'week' => self::spread(array_map(static fn (Watered $w): float => $w->thirstiestWeek, $watered)),
            'sprinklings' => self::spread(array_map(static fn (Watered $w): int => $w->sprinklings, $watered)),
            'litres_per_m' => round($mm[1] * $rowSpacing, 1),
        ];
    }

    /**
     * @param  non-empty-list<float|int>  $values
     * @return Spread
     */
    private static function spread(array $values): array
    {
        sort($values);

        return array_map(static fn (float $p): float => round(Quantile::of($values, $p) ?? 0.0, 1), [self::LOW, self::MIDDLE, self::HIGH]);
    }
}
