<?php

declare(strict_types=1);

namespace Anthesis\Window;

use Anthesis\Climate\Quantile;
use Anthesis\Place\Place;
use Anthesis\Record\Tolerance;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Workable;

/**
 * From when on ground can be worked, for windows that wait for it: from midwinter to the first workable day of as many years as the
 * confidence level asks for. Starting indoors does not wait, and neither does ground that a tunnel or a frame keeps dry.
 */
final readonly class GroundWait
{
    /** Days from midwinter within which a year's first workable day may lie; if there is none, all of them wait. */
    private const HALF_YEAR = 182;

    /** Night protection of a low tunnel, °C: a cover with at least this keeps the rain off. */
    private const KEEPS_DRY = 2.5;

    /** @param  non-empty-list<float>  $first  days from midwinter to the first workable day of each year, sorted; INF: none */
    public function __construct(private YearDay $midwinter, private array $first)
    {
    }

    /** @return self|null null if windows do not wait for ground, or no rain is on record */
    public static function ofPlace(Place $place): ?self
    {
        $record = $place->years->days();
        if (! $place->waitsForGround || $record->rain === null || self::isKeptDry($place->site())) {
            return null;
        }
        $water = $place->once(WaterDays::class, static fn (): WaterDays => WaterDays::of($record, $place->latitude));

        return self::of(Workable::of($water, Ground::named($place->site()->ground))->first($place->latitude), $place->yearStart());
    }

    /** @param  array<int, YearDay|null>  $first  of each year; null: none in its half-year */
    public static function of(array $first, YearDay $midwinter): ?self
    {
        $days = array_map(
            static fn (?YearDay $day): float => $day === null ? INF : (float) $midwinter->daysUntil($day),
            array_values($first),
        );
        sort($days);

        return $days === [] ? null : new self($midwinter, $days);
    }

    public static function isKeptDry(Site $site): bool
    {
        return $site->protection >= self::KEEPS_DRY;
    }

    /** @return list<bool> length 365, whether sow day i+1 waits at a confidence level */
    public function days(float $share): array
    {
        $until = Quantile::of($this->first, $share) ?? INF;
        $last = min((float) self::HALF_YEAR, $until) - Tolerance::SUMS;

        return array_map(
            fn (int $day): bool => $this->midwinter->daysUntil(YearDay::fromNumber($day)) < $last,
            range(1, YearDay::YEAR),
        );
    }
}
