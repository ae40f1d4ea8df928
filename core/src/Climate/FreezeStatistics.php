<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Record\YearDay;

/**
 * First and last freezes of the cold seasons on record, at one threshold.
 *
 * A cold season runs from July 15 to July 14 north of the equator, and from January 15 to January 14 south of it. It counts if at least 350
 * of its days have a minimum. Offsets are days from the season's first day. A season without a freeze enters the quantiles as −∞ for "last"
 * and +∞ for "first".
 */
final readonly class FreezeStatistics
{
    public const DAYS_NEEDED = 350;

    /** With fewer seasons, the record is short, and the user has to be told. */
    public const SEASONS_FOR_CONFIDENCE = 10;

    /** @var list<float> ascending offsets, +INF for a season without a freeze */
    private array $firsts;

    /** @var list<float> ascending offsets, −INF for a season without a freeze */
    private array $lasts;

    /** @param  list<ColdSeason>  $seasons in order of season */
    private function __construct(public float $thresholdCelsius, public YearDay $seasonStart, public array $seasons)
    {
        $firsts = array_map(static fn (ColdSeason $s): float => (float) ($s->first ?? INF), $seasons);
        $lasts = array_map(static fn (ColdSeason $s): float => (float) ($s->last ?? -INF), $seasons);
        sort($firsts);
        sort($lasts);
        $this->firsts = $firsts;
        $this->lasts = $lasts;
    }

    /**
     * @param  DailyRecord  $record  after quality control; gaps are not bridged here
     * @param  float  $thresholdCelsius  a day with minimum ≤ this is a freeze
     * @param  int|null  $fromSeason  first season to use; null: all of them
     * @param  int|null  $toSeason  last season to use; null: all of them
     */
    public static function of(
        DailyRecord $record,
        Latitude $latitude,
        float $thresholdCelsius,
        ?int $fromSeason = null,
        ?int $toSeason = null,
    ): self {
        $seasons = [];
        for ($season = $fromSeason ?? $record->first->year() - 1; $season <= ($toSeason ?? $record->last()->year() + 1); $season++) {
            [$first, $last] = $latitude->coldSeason($season);
            $length = $last->number - $first->number + 1;
            $found = self::season($season, $record->minimum, $first->number - $record->first->number, $length, $thresholdCelsius);
            if ($found !== null) {
                $seasons[] = $found;
            }
        }

        return new self($thresholdCelsius, $latitude->coldSeasonStart(), $seasons);
    }

    public function count(): int
    {
        return count($this->seasons);
    }

    public function isShort(): bool
    {
        return $this->count() < self::SEASONS_FOR_CONFIDENCE;
    }

    /** @return float|null offset of the date after which another freeze comes at this risk; null: none */
    public function lastAtRisk(FreezeRisk $risk): ?float
    {
        return Quantile::of($this->lasts, 1.0 - $risk->chance);
    }

    /** @return float|null offset of the date before which a freeze has come at this risk; null: none */
    public function firstAtRisk(FreezeRisk $risk): ?float
    {
        return Quantile::of($this->firsts, $risk->chance);
    }

    /** @return int|null days from the last to the first freeze, both at this risk; null if either is none */
    public function freezeFreeDays(FreezeRisk $risk): ?int
    {
        $last = $this->lastAtRisk($risk);
        $first = $this->firstAtRisk($risk);

        return $last === null || $first === null ? null : (int) floor(YearDay::YEAR + $first - $last);
    }

    /** @return int seasons whose last freeze came on or after the offset */
    public function seasonsWithFreezeOnOrAfter(int $offset): int
    {
        return count(array_filter($this->lasts, static fn (float $last): bool => $last >= $offset));
    }

    /** @return float m/(n+1), m the seasons whose last freeze came on or after the offset */
    public function riskOnOrAfter(int $offset): float
    {
        return $this->seasonsWithFreezeOnOrAfter($offset) / ($this->count() + 1);
    }

    /** @return int seasons whose first freeze came on or before the offset */
    public function seasonsWithFreezeOnOrBefore(int $offset): int
    {
        return count(array_filter($this->firsts, static fn (float $first): bool => $first <= $offset));
    }

    /** @return float m/(n+1), m the seasons whose first freeze came on or before the offset */
    public function riskOnOrBefore(int $offset): float
    {
        return $this->seasonsWithFreezeOnOrBefore($offset) / ($this->count() + 1);
    }

    /**
     * The 90% interval of the "last" quantile at a risk, as offsets; null if there is no such rank, or no freeze at it.
     *
     * @return array{float|null, float|null}
     */
    public function lastInterval(FreezeRisk $risk): array
    {
        return self::interval($this->lasts, 1.0 - $risk->chance);
    }

    /**
     * The 90% interval of the "first" quantile at a risk, as offsets; null if there is no such rank, or no freeze at it.
     *
     * @return array{float|null, float|null}
     */
    public function firstInterval(FreezeRisk $risk): array
    {
        return self::interval($this->firsts, $risk->chance);
    }

    /** Trend of the last freeze over the seasons that had one; null with fewer than three. */
    public function trendOfLast(): ?Trend
    {
        $years = [];
        $offsets = [];
        foreach ($this->seasons as $season) {
            if ($season->last !== null) {
                $years[] = $season->season;
                $offsets[] = (float) $season->last;
            }
        }

        return Trend::of($years, $offsets);
    }

    /** The day of the year an offset falls on, in a year without February 29. */
    public function dayAt(int $offset): YearDay
    {
        return $this->seasonStart->plus($offset);
    }

    /**
     * @param  list<float>  $sorted
     * @return array{float|null, float|null}
     */
    private static function interval(array $sorted, float $p): array
    {
        [$lower, $upper] = Quantile::rankInterval(count($sorted), $p);
        $at = static fn (?int $rank): ?float => $rank === null || is_infinite($sorted[$rank - 1]) ? null : $sorted[$rank - 1];

        return [$at($lower), $at($upper)];
    }

    /** @param  list<float|null>  $minimum */
    private static function season(int $season, array $minimum, int $from, int $length, float $threshold): ?ColdSeason
    {
        $first = $last = null;
        $days = 0;
        $lowest = INF;
        $end = min($from + $length, count($minimum));
        for ($i = max(0, $from); $i < $end; $i++) {
            $value = $minimum[$i];
            if ($value === null) {
                continue;
            }
            $days++;
            $lowest = min($lowest, $value);
            if ($value <= $threshold) {
                $first ??= $i - $from;
                $last = $i - $from;
            }
        }

        return $days < self::DAYS_NEEDED ? null : new ColdSeason($season, $first, $last, $lowest);
    }
}
