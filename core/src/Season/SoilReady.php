<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Climate\Quantile;
use Anthesis\Record\Day;

/** When this season's soil is warm enough for good: the first of five days in a row at or above a temperature. */
final readonly class SoilReady
{
    public const DAYS_RUNNING = 5;

    /**
     * @param  bool  $now  whether the last five days were
     * @param  array{Day|null, Day|null, Day|null}  $dates  10, 50, and 90% of the members; null: fewer than that reach it
     */
    private function __construct(public float $celsius, public bool $now, public array $dates)
    {
    }

    /**
     * @param  array<int, list<float>>  $soil  °C by member; DAYS_RUNNING days before today, then today and the days after it
     * @param  Day  $today  the first day that is still ahead
     */
    public static function at(float $celsius, array $soil, Day $today): self
    {
        $offsets = [];
        $now = false;
        foreach ($soil as $days) {
            $running = 0;
            $ready = INF;
            foreach ($days as $i => $temperature) {
                $running = $temperature >= $celsius ? $running + 1 : 0;
                if ($i === self::DAYS_RUNNING - 1) {
                    $now = $running === self::DAYS_RUNNING;
                    // What comes before today only matters for whether it is ready now.
                    $running = 0;
                }
                if ($i >= self::DAYS_RUNNING && $running === self::DAYS_RUNNING) {
                    $ready = (float) ($i - 2 * self::DAYS_RUNNING + 1);
                    break;
                }
            }
            $offsets[] = $ready;
        }
        sort($offsets);
        $at = static function (float $p) use ($offsets, $today): ?Day {
            $offset = Quantile::of($offsets, $p);

            return $offset === null ? null : $today->plus((int) round($offset));
        };

        return new self($celsius, $now, [$at(0.1), $at(0.5), $at(0.9)]);
    }

    /** @param  list<float|null>  $soil  °C by day */
    public static function hasHeld(float $celsius, array $soil): bool
    {
        $running = 0;
        foreach ($soil as $temperature) {
            $running = $temperature !== null && $temperature >= $celsius ? $running + 1 : 0;
            if ($running === self::DAYS_RUNNING) {
                return true;
            }
        }

        return false;
    }
}
