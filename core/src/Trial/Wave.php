<?php

declare(strict_types=1);

namespace Anthesis\Trial;

/**
 * Plantings of one wave of a trial (a week early, on the day, a week late …), each repeat with its yield. What was lost yielded nothing:
 * failures are data and count in the mean.
 */
final readonly class Wave
{
    /** Fewer repeats than this only show how one season went. */
    public const FEW = 3;

    /**
     * @param  string  $name  of the wave
     * @param  list<float>  $yields  kg or stems of each repeat, 0 if it was lost
     * @param  list<float>  $qualities  of those that were harvested: 1 poor, 2 fair, 3 good
     * @param  float|null  $expected  share of members in which the replay came to harvest, 0…1; null: not known
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

    /** @return int repeats that yielded nothing */
    public function lost(): int
    {
        return count(array_filter($this->yields, static fn (float $yield): bool => $yield <= 0.0));
    }

    /** Whether it has too few repeats to show more than how one season went. */
    public function isOneSeasonsWord(): bool
    {
        return count($this->yields) < self::FEW;
    }

    /**
     * @param  list<self>  $waves
     * @return list<self> best first: by yield, then by quality, then in the order given
     */
    public static function ranked(array $waves): array
    {
        usort($waves, static fn (self $a, self $b): int => [$b->meanYield(), $b->meanQuality()] <=> [$a->meanYield(), $a->meanQuality()]);

        return $waves;
    }
}
