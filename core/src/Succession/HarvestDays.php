<?php

declare(strict_types=1);

namespace Anthesis\Succession;

use Anthesis\Climate\Quantile;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Replay\OutcomeRibbon;
use Anthesis\Replay\Runs;
use Anthesis\Window\SoilHold;
use Anthesis\Window\SowingWindow;

/** By day of the year, when what is sown on it is typically harvested, and whether the day can be relied on. */
final readonly class HarvestDays
{
    /**
     * @param  array<int, array{int, int}>  $days  by sow day, 1…365: days to first harvest, and days of harvest; medians of the seasons
     *   that came to one. Days without any are left out
     * @param  list<float>  $reliability  length 365
     */
    private function __construct(public array $days, private array $reliability)
    {
    }

    /**
     * For dates that somebody chose: each day of a window can be relied on, and no other.
     *
     * @param  array<int, array{int, int}>  $days  as above
     * @param  list<SowingWindow>  $windows
     */
    public static function inWindows(array $days, array $windows): self
    {
        $isIn = static fn (int $day): bool => array_filter(
            $windows,
            static fn (SowingWindow $w): bool => $w->contains(YearDay::fromNumber($day)),
        ) !== [];

        return new self($days, array_map(static fn (int $day): float => $isIn($day) ? 1.0 : 0.0, range(1, YearDay::YEAR)));
    }

    /** @param  SoilHold|null  $hold  days that wait for the soil, and so cannot be relied on; null: none */
    public static function of(Runs $runs, ?SoilHold $hold = null): self
    {
        $days = [];
        for ($sowDay = 1; $sowDay <= YearDay::YEAR; $sowDay++) {
            [$waits, $lengths] = $runs->harvestsOf($sowDay);
            if ($waits !== []) {
                $days[$sowDay] = [self::median($waits), self::median($lengths)];
            }
        }
        $reliability = OutcomeRibbon::reliabilityOf($runs);

        return new self(
            $days,
            $hold === null
                ? $reliability
                : array_map(static fn (float $r, bool $waits): float => $waits ? 0.0 : $r, $reliability, $hold->days),
        );
    }

    /** @return array{int, int}|null days to first harvest, and days of harvest; null: the day never came to one */
    public function on(YearDay $day): ?array
    {
        return $this->days[$day->number] ?? null;
    }

    /** @param  float  $standard  share of years, 0…1 */
    public function reaches(YearDay $day, float $standard): bool
    {
        return $this->reliability[$day->number - 1] >= $standard - Tolerance::SUMS;
    }

    /** @param  list<int>  $values  at least one */
    private static function median(array $values): int
    {
        sort($values);

        // Half a day counts as a day.
        return (int) floor((float) Quantile::of($values, 0.5) + 0.5);
    }
}
