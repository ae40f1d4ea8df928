<?php

declare(strict_types=1);

namespace Anthesis\Trial;

/**
 * Sowings of one wave of a trial (a week early, on the day, a week late …), each repeat with its yield; what was lost gave nothing.
 * Failures are data: they stand in the mean.
 */
final readonly class Wave
{
    /** Fewer repeats than this are one season's word. */
    public const FEW = 3;

    /**
     * @param  string  $name  of the wave
     * @param  list<float>  $yields  kg or stems of each repeat, 0 where it was lost
     * @param  list<float>  $qualities  of those that were picked: 1 poor, 2 fair, 3 good
     * @param  float|null  $expected  share of members in which the replay came to a harvest, 0…1; null: not told
     */
    public function __construct(public string $name, public array $yields, public array $qualities, public ?float $expected)
    {
    }

    public function meanYield(): float
    {
        return $this->yields === [] ? 0.0 : array_sum($this->yields) / count($this->yields);
    }

    public function meanQuality(): float
    {
        return $this->qualities === [] ? 0.0 : array_sum($this->qualities) / count($this->qualities);
    }

    /** @return int repeats that gave nothing */
    public function lost(): int
    {
        return count(array_filter($this->yields, static fn (float $yield): bool => $yield <= 0.0));
    }

    /** Whether its repeats are too few to say more than how one season went. */
    public function isOneSeasonsWord(): bool
    {
        return count($this->yields) < self::FEW;
    }

    /**
     * @param  list<self>  $waves
     * @return list<self> the best first: by yield, where that is the same by quality, then as they came
     */
    public static function ranked(array $waves): array
    {
        usort($waves, static fn (self $a, self $b): int => [$b->meanYield(), $b->meanQuality()] <=> [$a->meanYield(), $a->meanQuality()]);

        return $waves;
    }
}
