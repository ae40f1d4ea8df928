<?php

declare(strict_types=1);

namespace Anthesis\Soil;

use Anthesis\Record\Tolerance;

/** Soil readings as they were uploaded. */
final readonly class ProbeLog
{
    /** @param  list<ProbeReading>  $readings */
    public function __construct(public array $readings)
    {
    }

    /** @return list<array{depth: float, readings: int}> depths in m, the one with the most readings first */
    public function depths(): array
    {
        $counts = array_count_values(array_map(static fn (ProbeReading $r): string => (string) $r->depth, $this->readings));
        arsort($counts);

        return array_map(
            static fn (int|string $depth, int $n): array => ['depth' => (float) $depth, 'readings' => $n],
            array_keys($counts),
            array_values($counts),
        );
    }

    /** @return list<ProbeReading> */
    public function atDepth(float $metres): array
    {
        return array_values(array_filter($this->readings, static fn (ProbeReading $r): bool => abs($r->depth - $metres) < Tolerance::SUMS));
    }
}
